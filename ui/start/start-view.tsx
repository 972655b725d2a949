'use client';

import { Droplets, FileUp, Waypoints } from 'lucide-react';
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { type ChangeEvent, useState } from 'react';
import { startPlan } from '@/core/line/edit';
import type { Plan, PlanSummary } from '@/core/line/plan';
import { ChoiceInput } from '@/ui/forms/choice-input';
import { QuantityInput } from '@/ui/forms/quantity-input';
import { TextInput } from '@/ui/forms/text-input';
import { useUnits } from '@/ui/units/units';

const PUMPS = {
  piston1: 'piston, one stage',
  piston2: 'piston, two stages',
  screw: 'screw, oil-flooded',
  oilfree: 'oil-free screw or scroll',
} as const;
const MOST_FILE_BYTES = 1_000_000;

/** Typical numbers of a small shop, round in the person's own units. Common practice, no source. */
const TYPICAL = {
  metric: {
    intakeTemperatureC: 27,
    freeAirDeliveryM3PerS: 0.45 / 60,
    dischargePressurePa: 101325 + 7.5e5,
    receiverVolumeM3: 0.23,
  },
  us: {
    intakeTemperatureC: 80 / 3,
    freeAirDeliveryM3PerS: 16 * 4.719474e-4,
    dischargePressurePa: 101325 + 110 * 6894.757,
    receiverVolumeM3: 60 * 3.785412e-3,
  },
} as const;

interface Refused {
  readonly message: string;
  readonly issues: readonly { readonly field: string; readonly message: string }[];
}

async function create(plan: unknown): Promise<{ id: string } | Refused> {
  const id = crypto.randomUUID();
  const answer = await fetch('/api/plans', {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ id, plan }),
  }).catch(() => undefined);
  if (answer?.ok) return { id };
  const body = await answer?.json().catch(() => undefined);
  return (
    body?.error ?? { message: 'The server does not answer. Nothing was changed; try again in a moment.', issues: [] }
  );
}

/** The first page: a demo to look at, or a line of one's own from a few answers. */
export function StartView({ lines }: { lines: readonly PlanSummary[] }) {
  const demo = lines.find((l) => l.isDemo);
  const own = lines.filter((l) => !l.isDemo);
  return (
    <div className="mx-auto grid max-w-[1120px] items-start gap-x-8 gap-y-6 p-4 sm:p-6 lg:grid-cols-[1fr_25rem]">
      <div className="lg:col-span-2">
        <h1 className="text-[1.7rem]">Dry air reaches the tool when somebody knows where the water falls out.</h1>
        <p className="mt-1 max-w-[70ch] text-[1.05rem] text-quiet">
          Enter what you measured at the intake and what stands in the line. See how much water drops at each stage, log
          what you drain, and be told whether that is what should have come out.
        </p>
      </div>
      <OwnLine />
      <div className="grid gap-4">
        {demo && (
          <Link
            href={`/lines/${demo.id}/line`}
            className="block rounded-md border border-hairline bg-card p-4 hover:border-edge"
          >
            <span className="flex items-center gap-2 font-semibold">
              <Waypoints size={18} aria-hidden className="text-copper" /> Look at the demo first
            </span>
            <span className="mt-1 block text-quiet">
              {demo.shop}, a made-up organ workshop: {demo.stages} stages, and six weeks of drains with one that went
              wrong.
            </span>
          </Link>
        )}
        <Link href="/dew-point" className="block rounded-md border border-hairline bg-card p-4 hover:border-edge">
          <span className="flex items-center gap-2 font-semibold">
            <Droplets size={18} aria-hidden className="text-water" /> Just one answer
          </span>
          <span className="mt-1 block text-quiet">
            Turn a humidity, dew point or water content into all the others, at any pressure.
          </span>
        </Link>
        {own.length > 0 && (
          <section>
            <h2 className="mb-1">Your lines</h2>
            <ul className="border-t border-hairline">
              {own.map((l) => (
                <li key={l.id} className="border-b border-hairline">
                  <Link
                    href={`/lines/${l.id}/line`}
                    className="flex min-h-11 items-center justify-between gap-3 px-1 hover:bg-sunk"
                  >
                    <span className="min-w-0 truncate">
                      <strong>{l.shop}</strong> · {l.name}
                    </span>
                    <span className="shrink-0 text-quiet">{l.stages} stages</span>
                  </Link>
                </li>
              ))}
            </ul>
          </section>
        )}
        <OpenFile />
      </div>
    </div>
  );
}

function OwnLine() {
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
          dischargePressurePa: a.dischargePressurePa,
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
          id="pressure"
          label="Working pressure"
          quantity="pressure"
          value={a.dischargePressurePa}
          min={1.5e5}
          max={41e5}
          help="Middle of cut-in and cut-out."
          onCommit={(dischargePressurePa) => set({ dischargePressurePa })}
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

function OpenFile() {
  const router = useRouter();
  const [refused, setRefused] = useState<Refused>();
  const open = async (event: ChangeEvent<HTMLInputElement>): Promise<void> => {
    const file = event.target.files?.[0];
    event.target.value = '';
    if (!file) return;
    if (file.size > MOST_FILE_BYTES)
      return setRefused({ message: `“${file.name}” is larger than 1 MB. A plan file is far smaller.`, issues: [] });
    let plan: unknown;
    try {
      plan = JSON.parse(await file.text());
    } catch {
      return setRefused({ message: `“${file.name}” is not valid JSON, so it is no plan file.`, issues: [] });
    }
    const answer = await create(plan);
    if ('id' in answer) router.push(`/lines/${answer.id}/line`);
    else setRefused(answer);
  };
  return (
    <section className="grid gap-2">
      <label className="button cursor-pointer justify-start has-focus-visible:outline-2 has-focus-visible:outline-water">
        <FileUp size={16} aria-hidden /> Open a plan file…
        <input type="file" accept=".json,application/json" className="sr-only" onChange={(e) => void open(e)} />
      </label>
      {refused && <Refusals of={refused} />}
    </section>
  );
}

function Refusals({ of: refused }: { of: Refused }) {
  return (
    <div role="alert" className="rounded-md bg-brick-wash px-3 py-2 text-brick">
      {refused.issues.length === 0 ? (
        refused.message
      ) : (
        <ul className="grid gap-1">
          {refused.issues.slice(0, 8).map((i) => (
            <li key={`${i.field}${i.message}`}>
              <strong>{i.field.replace(/^plan\./, '')}</strong>: {i.message}
            </li>
          ))}
          {refused.issues.length > 8 && <li>… and {refused.issues.length - 8} more.</li>}
        </ul>
      )}
    </div>
  );
}
