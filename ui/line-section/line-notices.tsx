'use client';

import { airBalance, explainFall } from '@/core/line/balance';
import { imbalance } from '@/core/line/section';
import { stageById } from '@/core/plan/runs';
import { usePlan } from '@/ui/plan/plan-provider';
import { InUnits } from '@/ui/units/in-units';
import { useUnits } from '@/ui/units/units';
import { Why } from '@/ui/why/why';

/** What could not be calculated, each with a way to its stage. */
export function Problems({ onSelect }: { onSelect: (stageId: string) => void }) {
  const { plan, section } = usePlan();
  if (section.problems.length === 0) return null;
  return (
    <ul role="alert" className="mx-3 mb-2 grid gap-1 rounded-md bg-brick-wash px-3 py-2 text-brick">
      {section.problems.map((p) => (
        <li key={`${p.stageId} ${p.message}`}>
          <button type="button" className="font-semibold underline" onClick={() => onSelect(p.stageId)}>
            {stageById(plan, p.stageId)?.name}
          </button>
          : <InUnits text={p.message} />
        </li>
      ))}
    </ul>
  );
}

/** Water in and where it went; it must balance, and the page says that it does. */
export function Balance() {
  const { section } = usePlan();
  const { say } = useUnits();
  const { ledger } = section;
  const rest = (
    [
      [ledger.frozenKgPerS, 'frozen'],
      [ledger.adsorbedKgPerS, 'adsorbed'],
      [ledger.ventedKgPerS, 'purged'],
    ] as const
  ).flatMap(([kgPerS, word]) => (kgPerS > 0 ? [` + ${say(kgPerS, 'waterFlow')} ${word}`] : []));
  return (
    <p className="text-quiet">
      <Why figure={{ name: 'waterIn' }} className="font-semibold text-ink">
        {say(ledger.waterInKgPerS, 'waterFlow')}
      </Why>{' '}
      in{ledger.leakedInKgPerS > 0 && ` + ${say(ledger.leakedInKgPerS, 'waterFlow')} through a leaking tube`} ={' '}
      <Why figure={{ name: 'caughtInAll' }}>{say(ledger.caughtKgPerS, 'waterFlow')}</Why> caught +{' '}
      <Why figure={{ name: 'vapourOut' }}>{say(ledger.vapourOutKgPerS, 'waterFlow')}</Why> vapour +{' '}
      <Why figure={{ name: 'dropsOut' }}>{say(ledger.liquidOutKgPerS, 'waterFlow')}</Why> drops{rest.join('')}
      {!section.problem &&
        (imbalance(ledger) < 1e-9 ? (
          <span className="text-water"> · balances</span>
        ) : (
          <span className="text-brick"> · does not balance</span>
        ))}
    </p>
  );
}

/** Where jobs and losses ask for more than the compressors deliver: how far the pressure falls. */
export function Shortfall() {
  const { plan, section } = usePlan();
  const { say } = useUnits();
  const balance = airBalance(plan, section);
  if (balance.fallsToPa === undefined) return null;
  return (
    <p className="text-brick">
      ▲ {say(-balance.leftM3PerS, 'volumeFlow')} insufficient: the pressure falls to about{' '}
      <Why figure={() => explainFall(plan, balance)} className="font-semibold">
        {say(balance.fallsToPa, 'pressure')}
      </Why>
    </p>
  );
}
