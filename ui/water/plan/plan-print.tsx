'use client';

import { Printer } from 'lucide-react';
import { sayIn as said } from '@/core/advice/rule';
import { HOW_TO_CHECK } from '@/core/drains/how-to-check';
import { CAUTIONS } from '@/core/equipment/shared/cautions';
import { placeOf } from '@/core/plan/survey';
import { sayDay } from '@/core/year/calendar';
import { usePlan } from '@/ui/plan/plan-provider';
import { Scrolls } from '@/ui/primitives/scrolls';
import { InUnits } from '@/ui/units/in-units';
import { useUnits } from '@/ui/units/units';
import { DrainMarkSign, drainWords } from '../drain-marks';
import { type DrainRow, useDrains } from '../use-drains';
import { useWater } from '../water-provider';

/** The drain plan to hang up: a page for each room. */
export function PlanPrint() {
  const { plan } = usePlan();
  const rows = useDrains();
  const roomOf = (r: DrainRow): string => r.duty.stage.place ?? plan.survey.roomPlaceId;
  const rooms = [...new Set(rows.map(roomOf))];
  return (
    <>
      <div className="no-print flex flex-wrap items-center gap-3">
        <button type="button" className="button button-strong" onClick={() => window.print()}>
          <Printer size={15} aria-hidden /> Print
        </button>
        <p className="text-quiet">A page for each room, on A4 or Letter. Write in the last column who does it.</p>
      </div>
      {rows.length === 0 && <p>This line has no drain yet.</p>}
      {rooms.map((room) => (
        <RoomSheet key={room} name={placeOf(plan.survey, room).name} rows={rows.filter((r) => roomOf(r) === room)} />
      ))}
    </>
  );
}

function RoomSheet({ name, rows }: { name: string; rows: readonly DrainRow[] }) {
  const { plan } = usePlan();
  const { today } = useWater();
  const { say } = useUnits();
  return (
    <article
      aria-label={`Drain plan, ${name}`}
      className="grid gap-3 rounded-md border border-hairline bg-card p-5 print:not-last:break-after-page print:border-0 print:p-0"
    >
      <header className="flex flex-wrap items-baseline justify-between gap-x-4">
        <h2 className="text-[1.3rem]">Drains · {name}</h2>
        <p className="text-quiet">
          {plan.survey.shop} · {plan.name} · {sayDay(today.day)} {today.year}
        </p>
      </header>
      <Scrolls label="Drain settings">
        <table className="w-full min-w-[44rem] text-[0.9rem]">
          <thead className="text-left text-[0.8rem] text-quiet">
            <tr>
              <th className="w-5 py-1">
                <span className="sr-only">Mark</span>
              </th>
              <th className="pr-3 font-medium">Point</th>
              <th className="pr-3 font-medium">Drain</th>
              <th className="pr-3 font-medium">Set it, by season</th>
              <th className="pr-3 text-right font-medium">A day now</th>
              <th className="pr-3 font-medium">It works when</th>
              <th className="w-20 font-medium">Who</th>
            </tr>
          </thead>
          <tbody>
            {rows.map(({ duty, judged }) => (
              <tr key={duty.stage.id} className="border-t border-hairline align-top">
                <td className="py-2">
                  <DrainMarkSign mark={judged.mark} />
                </td>
                <th className="py-2 pr-3 text-left font-semibold">{duty.stage.name}</th>
                <td className="py-2 pr-3">{drainWords(duty.stage.kind, duty.stage.parameters.drain)}</td>
                <td className="py-2 pr-3">
                  {judged.seasons.length > 1 ? (
                    judged.seasons.map((s) => (
                      <p key={s.fromDay}>
                        from <strong>{sayDay(s.fromDay)}</strong>: {s.setting}
                      </p>
                    ))
                  ) : (
                    <p>{judged.seasons[0]?.setting ?? (judged.better ? said(judged.better, say) : 'as it is')}</p>
                  )}
                </td>
                <td className="py-2 pr-3 text-right whitespace-nowrap">
                  {say((duty.nowKgPerS * duty.loadedHoursPerDay * 3600) / 1000, 'drained')}
                </td>
                <td className="py-2 pr-3 text-[0.85rem]">{HOW_TO_CHECK[duty.stage.parameters.drain]}</td>
                <td className="py-2">
                  <div className="h-5 border-b border-dotted border-edge" />
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </Scrolls>
      <footer className="text-[0.82rem]">
        {['C36', 'C20', 'C27'].map((c) => (
          <p key={c}>
            ▲ <InUnits text={CAUTIONS[c]?.text ?? ''} />
          </p>
        ))}
        <p className="text-quiet">Estimate only. Nameplate, manual and local law take precedence.</p>
      </footer>
    </article>
  );
}
