'use client';

import { Plus } from 'lucide-react';
import type { FieldMeta } from '@/core/equipment/shared/kind';
import { withSurvey } from '@/core/plan/edit';
import { type Place, placeSchema, type Survey } from '@/core/plan/survey';
import { QuantityInput } from '@/ui/forms/quantity-input';
import { TextInput } from '@/ui/forms/text-input';
import { usePlan } from '@/ui/plan/plan-provider';
import { SettleTimer } from './settle-timer';

const MOST_PLACES = 12;

/** Where air was measured; at which of the places the compressor draws in, and in which it stands. */
export function Places() {
  const { plan, edit } = usePlan();
  const { survey } = plan;
  const set = (change: Partial<Survey>, key?: string): void =>
    edit((p) => withSurvey(p, { ...p.survey, ...change }), key);
  const setPlace = (place: Place, change: Partial<Place>, key: string): undefined =>
    void set(
      { places: survey.places.map((p) => (p.id === place.id ? { ...p, ...change } : p)) },
      `place.${place.id}.${key}`,
    ) as undefined;
  const meta = (field: 'temperatureC' | 'relativeHumidity'): FieldMeta =>
    placeSchema.shape[field].meta() as unknown as FieldMeta;
  const add = (): void => {
    const first = survey.places[0] as Place;
    set({
      places: [
        ...survey.places,
        {
          ...first,
          id: crypto.randomUUID(),
          name: survey.places.length === 1 ? 'Outdoors' : `Place ${survey.places.length + 1}`,
        },
      ],
    });
  };
  return (
    <>
      <ul className="grid gap-3 sm:grid-cols-2">
        {survey.places.map((place) => {
          const used = place.id === survey.intakePlaceId || place.id === survey.roomPlaceId;
          return (
            <li key={place.id} className="grid content-start gap-3 rounded-md border border-hairline bg-card p-3">
              <TextInput
                id={`${place.id}-name`}
                label="Place"
                value={place.name}
                most={60}
                onCommit={(name) => setPlace(place, { name }, 'name')}
              />
              <div className="grid grid-cols-2 items-start gap-3">
                {(['temperatureC', 'relativeHumidity'] as const).map((field) => (
                  <QuantityInput
                    key={field}
                    id={`${place.id}-${field}`}
                    label={meta(field).label}
                    quantity={meta(field).quantity ?? 'temperature'}
                    value={place[field]}
                    min={meta(field).least}
                    max={meta(field).most}
                    onCommit={(v) => setPlace(place, { [field]: v }, field)}
                  />
                ))}
              </div>
              <div className="grid gap-1">
                <label className="flex min-h-7 items-center gap-2">
                  <input
                    type="radio"
                    name="intake-place"
                    className="size-4 accent-(--water)"
                    checked={place.id === survey.intakePlaceId}
                    onChange={() => set({ intakePlaceId: place.id })}
                  />{' '}
                  The compressor draws in here
                </label>
                <label className="flex min-h-7 items-center gap-2">
                  <input
                    type="radio"
                    name="room-place"
                    className="size-4 accent-(--water)"
                    checked={place.id === survey.roomPlaceId}
                    onChange={() => set({ roomPlaceId: place.id })}
                  />{' '}
                  Cooler and receiver stand here
                </label>
              </div>
              <div className="flex flex-wrap gap-2">
                <SettleTimer place={place.name} />
                {!used && (
                  <button
                    type="button"
                    className="button"
                    onClick={() => set({ places: survey.places.filter((p) => p.id !== place.id) })}
                  >
                    Remove
                  </button>
                )}
              </div>
            </li>
          );
        })}
      </ul>
      {survey.places.length < MOST_PLACES && (
        <div>
          <button type="button" className="button" onClick={add}>
            <Plus size={15} aria-hidden /> Add a place beside it
          </button>
        </div>
      )}
    </>
  );
}
