'use client';
import type { FieldMeta } from '@/core/equipment/shared/kind';
import { withSurvey } from '@/core/plan/edit';
import { type Place, type PlaceYear, placeYearSchema, USUAL_YEAR } from '@/core/plan/survey';
import { ChoiceInput } from '@/ui/forms/choice-input';
import { QuantityInput } from '@/ui/forms/quantity-input';
import { usePlan } from '@/ui/plan/plan-provider';

export const metaOf = (field: keyof PlaceYear): FieldMeta =>
  placeYearSchema.shape[field].meta() as unknown as FieldMeta;

/** How each place of the survey goes with the weather outdoors. */
export function PlacesThroughYear() {
  const { plan, edit } = usePlan();
  const { survey } = plan;
  const set = (place: Place, change: Partial<PlaceYear>): undefined => {
    edit(
      (p) =>
        withSurvey(p, {
          ...p.survey,
          places: p.survey.places.map((own) =>
            own.id === place.id ? { ...own, year: { ...(own.year ?? USUAL_YEAR), ...change } } : own,
          ),
        }),
      `year.${place.id}`,
    );
  };
  return (
    <section className="grid gap-3">
      <h2>Places through the year</h2>
      <ul className="grid gap-3">
        {survey.places.map((place) => {
          const year = place.year ?? USUAL_YEAR;
          const uses = [
            place.id === survey.intakePlaceId && 'the compressor draws in here',
            place.id === survey.roomPlaceId && 'the line stands here',
          ].filter(Boolean);
          return (
            <li key={place.id} className="grid gap-2 border-t border-hairline pt-2">
              <p>
                <strong>{place.name}</strong> <span className="text-quiet">{uses.join(', ')}</span>
              </p>
              <div className="grid items-start gap-3 sm:grid-cols-2">
                <ChoiceInput
                  id={`${place.id}-follows`}
                  label={metaOf('follows').label}
                  value={year.follows}
                  options={metaOf('follows').options ?? {}}
                  onCommit={(v) => set(place, { follows: v as PlaceYear['follows'] })}
                />
                {year.follows === 'sheltered' &&
                  (['lagS', 'warmerK', 'heatedToC'] as const).map((field) => (
                    <QuantityInput
                      key={field}
                      id={`${place.id}-${field}`}
                      label={metaOf(field).label}
                      quantity={metaOf(field).quantity ?? 'temperature'}
                      value={year[field]}
                      min={metaOf(field).least}
                      max={metaOf(field).most}
                      help={metaOf(field).help}
                      onCommit={(v) => set(place, { [field]: v })}
                    />
                  ))}
              </div>
            </li>
          );
        })}
      </ul>
    </section>
  );
}
