'use client';

import { ChevronDown } from 'lucide-react';
import { Popover } from 'radix-ui';
import { memo } from 'react';
import { withSurvey } from '@/core/plan/edit';
import { placeOf } from '@/core/plan/survey';
import { Drag } from '@/ui/forms/drag';
import { QuantityInput } from '@/ui/forms/quantity-input';
import { usePlan } from '@/ui/plan/plan-provider';
import { useUnits } from '@/ui/units/units';

/** The intake air, at hand above the section: drag, and the whole line moves. */
export const Conditions = memo(function Conditions() {
  const { plan, edit } = usePlan();
  const { say } = useUnits();
  const { survey } = plan;
  const place = placeOf(survey, survey.intakePlaceId);
  const set = (field: 'temperatureC' | 'relativeHumidity', value: number): undefined => {
    edit(
      (p) =>
        withSurvey(p, {
          ...p.survey,
          places: p.survey.places.map((x) => (x.id === place.id ? { ...x, [field]: value } : x)),
        }),
      `place.${place.id}.${field}`,
    );
  };
  return (
    <Popover.Root>
      <Popover.Trigger className="button max-w-full">
        <span className="truncate">{place.name}</span>{' '}
        <strong>
          {say(place.temperatureC, 'temperature')} · {say(place.relativeHumidity, 'share')} RH
        </strong>{' '}
        <ChevronDown size={14} aria-hidden />
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          aria-label={`Air of ${place.name}`}
          align="start"
          sideOffset={6}
          collisionPadding={10}
          className="floating z-40 grid w-80 max-w-[94vw] gap-3 p-4"
        >
          <QuantityInput
            id="conditions-temperature"
            label="Temperature"
            quantity="temperature"
            value={place.temperatureC}
            min={-45}
            max={60}
            onCommit={(v) => set('temperatureC', v)}
          />
          <Drag
            label="Temperature"
            value={place.temperatureC}
            min={-20}
            max={50}
            step={0.5}
            onChange={(v) => set('temperatureC', v)}
          />
          <QuantityInput
            id="conditions-humidity"
            label="Relative humidity"
            quantity="share"
            value={place.relativeHumidity}
            min={0.01}
            max={1}
            onCommit={(v) => set('relativeHumidity', v)}
          />
          <Drag
            label="Relative humidity"
            value={place.relativeHumidity}
            min={0.01}
            max={1}
            step={0.01}
            onChange={(v) => set('relativeHumidity', v)}
          />
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
});
