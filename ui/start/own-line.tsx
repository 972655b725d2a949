'use client';

import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { startPlan } from '@/core/line/edit';
import type { Plan } from '@/core/line/plan';
import { ChoiceInput } from '@/ui/forms/choice-input';
import { QuantityInput } from '@/ui/forms/quantity-input';
import { TextInput } from '@/ui/forms/text-input';
import { useUnits } from '@/ui/units/units';
import { create, type Refused } from './create-line';
import { Refusals } from './refusals';

const PUMPS = {
  piston1: 'piston, one stage',
  piston2: 'piston, two stages',
  screw: 'screw, oil-flooded',
  oilfree: 'oil-free screw or scroll',
} as const;

/** Typical numbers of a small shop, round in the person's own units. Common practice, no source. */
const TYPICAL = {
  metric: {
    intakeTemperatureC: 27,
    freeAirDeliveryM3PerS: 0.45 / 60,
    cutInPa: 101325 + 6.5e5,
    cutOutPa: 101325 + 8.5e5,
    receiverVolumeM3: 0.23,
  },
  us: {
    intakeTemperatureC: 80 / 3,
    freeAirDeliveryM3PerS: 16 * 4.719474e-4,
    cutInPa: 101325 + 95 * 6894.757,
    cutOutPa: 101325 + 125 * 6894.757,
    receiverVolumeM3: 60 * 3.785412e-3,
  },
} as const;

const SWAPPED = 'A pump cuts in below the pressure at which it cuts out.';

/** A line of one's own from a few answers: every field has a typical number that may stay. */
export function OwnLine() {
  const router = useRouter();
  const [busy, setBusy] = useState(false);
  const [refused, setRefused] = useState<Refused>();
  const { choice } = useUnits();
  const [a, setA] = useState({
    shop: 'My shop',
    lineName: 'Main line',
    intakeRelativeHumidity: 0.6,
    type: 'piston1' as keyof typeof PUMPS,
    ...TYPICAL[choice.temperature === 'F' ? 'us' : 'metric'],
    aftercooler: true,
    refrigeratedDryer: false,
  });
  const set = (change: Partial<typeof a>): undefined => void setA((before) => ({ ...before, ...change })) as undefined;
  const submit = async (): Promise<void> => {
    setBusy(true);
    const plan: Plan = startPlan(
      {
        shop: a.shop,
        lineName: a.lineName,
        intakeTemperatureC: a.intakeTemperatureC,
        intakeRelativeHumidity: a.intakeRelativeHumidity,
        compressor: {
          type: a.type,
          freeAirDeliveryM3PerS: a.freeAirDeliveryM3PerS,
          cutInPa: a.cutInPa,
          cutOutPa: a.cutOutPa,
        },
        receiverVolumeM3: a.receiverVolumeM3,
        has: { aftercooler: a.aftercooler, refrigeratedDryer: a.refrigeratedDryer },
      },
      () => crypto.randomUUID(),
    );
    const answer = await create(plan);
    if ('id' in answer) return router.push(`/lines/${answer.id}/line`);
    setRefused(answer);
    setBusy(false);
  };
  return (
    <form
      className="grid gap-4 rounded-md border border-hairline bg-card p-4"
      aria-label="A line of your own"
      onSubmit={(e) => {
        e.preventDefault();
        void submit();
      }}
    >
      <div>
        <h2>A line of your own</h2>
        <p className="text-quiet">
          Change what you know, leave the rest: every number here is a typical one and can be changed later.
        </p>
      </div>
      <div className="grid items-start gap-x-4 gap-y-3 sm:grid-cols-2">
        <TextInput id="shop" label="Shop" value={a.shop} most={80} onCommit={(shop) => set({ shop })} />
        <TextInput id="line" label="Line" value={a.lineName} most={80} onCommit={(lineName) => set({ lineName })} />
        <QuantityInput
          id="temperature"
          label="Air at the intake"
          quantity="temperature"
          value={a.intakeTemperatureC}
          min={-45}
          max={60}
          help="On a warm day: that is when water comes."
          onCommit={(intakeTemperatureC) => set({ intakeTemperatureC })}
        />
        <QuantityInput
          id="humidity"
          label="its relative humidity"
          quantity="share"
          value={a.intakeRelativeHumidity}
          min={0.01}
          max={1}
          onCommit={(intakeRelativeHumidity) => set({ intakeRelativeHumidity })}
        />
        <ChoiceInput
          id="pump"
          label="Compressor"
          value={a.type}
          options={PUMPS}
          onCommit={(type) => set({ type: type as keyof typeof PUMPS })}
        />
        <QuantityInput
          id="flow"
          label="Free air delivery"
          quantity="volumeFlow"
          value={a.freeAirDeliveryM3PerS}
          min={1e-4}
          max={1}
          help="From the plate: what it delivers, not its displacement."
          onCommit={(freeAirDeliveryM3PerS) => set({ freeAirDeliveryM3PerS })}
        />
        <QuantityInput
          id="cut-in"
          label="Cuts in at"
          quantity="pressure"
          value={a.cutInPa}
          min={1.2e5}
          max={41e5}
          onCommit={(cutInPa) => (cutInPa < a.cutOutPa ? set({ cutInPa }) : SWAPPED)}
        />
        <QuantityInput
          id="cut-out"
          label="Cuts out at"
          quantity="pressure"
          value={a.cutOutPa}
          min={1.3e5}
          max={41e5}
          onCommit={(cutOutPa) => (cutOutPa > a.cutInPa ? set({ cutOutPa }) : SWAPPED)}
        />
        <QuantityInput
          id="tank"
          label="Receiver"
          quantity="volume"
          value={a.receiverVolumeM3}
          min={0.004}
          max={20}
          onCommit={(receiverVolumeM3) => set({ receiverVolumeM3 })}
        />
      </div>
      <div className="flex flex-wrap gap-x-6 gap-y-1">
        <label className="flex min-h-9 items-center gap-2">
          <input
            type="checkbox"
            className="size-4 accent-(--water)"
            checked={a.aftercooler}
            onChange={(e) => set({ aftercooler: e.target.checked })}
          />{' '}
          has an aftercooler and separator
        </label>
        <label className="flex min-h-9 items-center gap-2">
          <input
            type="checkbox"
            className="size-4 accent-(--water)"
            checked={a.refrigeratedDryer}
            onChange={(e) => set({ refrigeratedDryer: e.target.checked })}
          />{' '}
          has a refrigerated dryer
        </label>
      </div>
      {refused && <Refusals of={refused} />}
      <div className="flex flex-wrap items-center gap-4">
        <button type="submit" className="button button-strong min-h-11 px-5" disabled={busy}>
          {busy ? 'Building…' : 'Build my line'}
        </button>
        <span className="text-[0.82rem] text-quiet">
          Estimates only. Nameplate, manual and local law win. Not for air that anybody breathes.
        </span>
      </div>
    </form>
  );
}
