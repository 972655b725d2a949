'use client';

import { Download, Printer } from 'lucide-react';
import { useMemo, useRef, useState } from 'react';
import { drawableOf, drawingOf, itemNumbers } from '@/core/fitting/drawing';
import { measuresOf } from '@/core/piping/legs';
import { isDrawable } from '@/core/plan/drawn';
import { setLegs } from '@/core/plan/edit-legs';
import { allStages, stageById } from '@/core/plan/runs';
import { usePlan } from '@/ui/plan/plan-provider';
import { Cautions } from '@/ui/primitives/cautions';
import { Scrolls } from '@/ui/primitives/scrolls';
import { IsometricDrawing } from './isometric-drawing';
import { PrintedBill } from './printed-bill';
import { RunEditor } from './run-editor';
import { saveDxf, saveSvg } from './save-drawing';

/** The run as it is drawn: the whole line to scale, and the legs of one pipe, hose or cooling run. */
export function RunView() {
  const { plan, section, edit } = usePlan();
  const drawing = useMemo(() => drawingOf(plan, section), [plan, section]);
  const names = useMemo(() => new Map(allStages(plan).map((s) => [s.id, s.name])), [plan]);
  const numbers = useMemo(() => itemNumbers(plan), [plan]);
  const drawable = useMemo(() => drawableOf(plan, section), [plan, section]);
  const [picked, setPicked] = useState<string>();
  const chosen = stageById(plan, picked) ?? drawable.find((s) => s.fit?.legs) ?? drawable[0];
  const canDraw = drawable.some((s) => s.id === chosen?.id);
  const svg = useRef<SVGSVGElement>(null);
  const standingPipes = drawable.filter((s) => !s.fit?.legs);
  return (
    <div className="grid gap-4">
      <section aria-label="Drawing" className="grid gap-2 rounded-md border border-hairline bg-card p-2">
        <div className="no-print flex flex-wrap items-center gap-2 px-1">
          <p className="mr-auto text-[0.88rem] text-quiet">
            {standingPipes.length === 0
              ? 'Legs are to scale.'
              : `Dashed: not drawn yet, length only (${standingPipes.length}). Legs are to scale.`}
          </p>
          <button type="button" className="button" onClick={() => window.print()}>
            <Printer size={15} aria-hidden /> Print
          </button>
          <button type="button" className="button" onClick={() => svg.current && saveSvg(svg.current, plan.name)}>
            <Download size={15} aria-hidden /> SVG
          </button>
          <button type="button" className="button" onClick={() => void saveDxf(drawing, names, plan.name)}>
            <Download size={15} aria-hidden /> DXF
          </button>
        </div>
        <Scrolls label="Isometric drawing of the line">
          <IsometricDrawing
            drawing={drawing}
            names={names}
            chosen={chosen?.id}
            onChoose={setPicked}
            onStretch={(leg, lengthM) => {
              const legs = chosen?.fit?.legs;
              if (chosen && legs)
                edit((p) =>
                  setLegs(
                    p,
                    chosen.id,
                    legs.map((l, i) => (i === leg ? { ...l, lengthM } : l)),
                  ),
                );
            }}
            svg={svg}
          />
        </Scrolls>
      </section>
      <div className="grid gap-5">
        <section aria-label="Legs" className="no-print grid gap-3">
          {drawable.length === 0 ? (
            <p className="max-w-prose text-quiet">
              This line has no pipe, hose or cooling run yet. Insert one on the Line page; then type here how it runs,
              and its length and bends follow.
            </p>
          ) : (
            <>
              <label className="grid max-w-sm gap-1">
                <span className="font-medium">Pipe, tube, hose or cooling run</span>
                <select className="control" value={chosen?.id} onChange={(e) => setPicked(e.target.value)}>
                  {chosen && !canDraw && <option value={chosen.id}>{chosen.name}: has no legs</option>}
                  {drawable.map((s) => (
                    <option key={s.id} value={s.id}>
                      {numbers.get(s.id)} · {isDrawable(s) ? s.name : `Tube to ${s.name}`}
                      {s.fit?.legs ? '' : ' (not drawn)'}
                    </option>
                  ))}
                </select>
              </label>
              {chosen && canDraw && (
                <RunEditor
                  key={chosen.id}
                  stage={chosen}
                  places={plan.survey.places}
                  onLegs={(legs) => edit((p) => setLegs(p, chosen.id, legs))}
                />
              )}
            </>
          )}
        </section>
        <section aria-label="Numbers on the drawing">
          <h2 className="mb-1">Numbers on the drawing</h2>
          <ol className="columns-2 gap-x-6 text-[0.9rem] md:columns-3 xl:columns-5">
            {drawing.marks
              .toSorted((a, b) => a.item - b.item)
              .map((m) => {
                const legs = stageById(plan, m.stageId)?.fit?.legs;
                const wet = legs ? measuresOf(legs).undrained.length : 0;
                return (
                  <li key={m.stageId} className="flex break-inside-avoid gap-2 py-0.5">
                    <span className="w-6 text-right font-semibold">{m.item}</span>
                    <span>
                      {names.get(m.stageId)}
                      {wet > 0 && <span className="text-amber"> · low point without a drain</span>}
                    </span>
                  </li>
                );
              })}
          </ol>
        </section>
      </div>
      <PrintedBill />
      <Cautions ids={['C07', 'C05']} />
    </div>
  );
}
