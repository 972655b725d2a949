'use client';

import { parseAsString, useQueryState } from 'nuqs';
import { findKinds, findWallUnits, type KindName, kindOf } from '@/core/equipment/index';
import { parameterRows } from '@/core/equipment/parameter-rows';
import { WALL_UNITS } from '@/core/equipment/serving/wall-unit';
import { FAMILIES } from '@/core/equipment/shared/kind';
import { StageIcon } from '@/ui/line-section/stage-icon';
import { Cautions } from '@/ui/primitives/cautions';
import { Scrolls } from '@/ui/primitives/scrolls';
import { InUnits } from '@/ui/units/in-units';
import { useUnits } from '@/ui/units/units';

/** What each kind of equipment does, how it is calculated, what is entered, and where each usual value comes from. */
export function CatalogueView() {
  const [word, setWord] = useQueryState('find', parseAsString.withDefault(''));
  const [chosen, choose] = useQueryState('kind', parseAsString.withDefault(''));
  const found = findKinds(word);
  const units = findWallUnits(word);
  const shown = found.find((k) => k === chosen) ?? found[0];
  return (
    <div className="mx-auto grid max-w-[1120px] gap-x-6 gap-y-3 p-4 md:grid-cols-[17rem_1fr]">
      <div className="md:col-span-2">
        <h1>Catalogue</h1>
        <p className="max-w-3xl text-quiet">
          Every kind of stage: its effect on the air, how it is calculated, its parameters and the source of each
          typical value. Your nameplate and the maker’s curve take precedence.
        </p>
      </div>
      <div className="min-w-0">
        <input
          className="control mb-3"
          placeholder="water trap, oil cooler, pig tail …"
          aria-label="Find a kind by any name"
          value={word}
          onChange={(e) => void setWord(e.target.value || null)}
        />
        {found.length + units.length === 0 && (
          <p className="text-quiet">No kind has that name. A “measured stage” can represent anything.</p>
        )}
        <nav aria-label="Kinds" className="max-md:max-h-64 max-md:overflow-auto">
          {Object.entries(FAMILIES).map(([family, label]) => {
            const own = found.filter((k) => kindOf(k).family === family);
            return (
              own.length > 0 && (
                <div key={family} className="mb-2">
                  <h2 className="eyebrow px-2 py-1">{label}</h2>
                  <ul>
                    {own.map((kind) => (
                      <li key={kind}>
                        <button
                          type="button"
                          aria-current={kind === shown ? 'true' : undefined}
                          onClick={() => void choose(kind)}
                          className={`flex min-h-8 w-full items-center gap-2 border-l-[3px] px-2 text-left ${kind === shown ? 'border-copper bg-card font-semibold' : 'border-transparent hover:bg-sunk'}`}
                        >
                          <StageIcon kind={kind} size={20} />
                          {kindOf(kind).label}
                        </button>
                      </li>
                    ))}
                  </ul>
                </div>
              )
            );
          })}
        </nav>
      </div>
      <div className="grid min-w-0 content-start gap-6">
        {shown && <KindPage kind={shown} />}
        {units.length > 0 && (
          <section aria-label="Wall units">
            <h2 className="eyebrow mb-1">Wall units</h2>
            <p className="mb-2 text-quiet">In the line they are their stages, closed to one card or opened.</p>
            <dl className="grid gap-2">
              {units.map((name) => (
                <div key={name} className="border-t border-hairline pt-2">
                  <dt className="flex items-center gap-2 font-semibold">
                    <StageIcon kind="unit" size={22} /> {WALL_UNITS[name].label}
                  </dt>
                  <dd>{WALL_UNITS[name].stages.map((s) => s.name).join(' → ')}</dd>
                </div>
              ))}
            </dl>
          </section>
        )}
      </div>
    </div>
  );
}

function KindPage({ kind }: { kind: KindName }) {
  const { choice, atmosphericPa } = useUnits();
  const { label, does, equation, alsoCalled, needs, cautions } = kindOf(kind);
  return (
    <article aria-label={label} className="grid gap-4">
      <header className="flex items-start gap-4">
        <span className="rounded-md border border-hairline bg-card p-3">
          <StageIcon kind={kind} size={44} />
        </span>
        <div>
          <h2 className="text-[1.3rem] leading-tight font-semibold">{label}</h2>
          <p>
            <InUnits text={does} />
          </p>
          {needs && (
            <p className="text-[0.88rem] text-quiet">
              Upstream: <InUnits text={needs.before} />. Downstream: <InUnits text={needs.after} />.
            </p>
          )}
          {alsoCalled && <p className="text-[0.88rem] text-quiet">Also called {alsoCalled.join(', ')}.</p>}
        </div>
      </header>
      <p>
        <span className="eyebrow block">How it is calculated</span>
        {equation}
      </p>
      <Scrolls label="Parameters">
        <table className="w-full min-w-[36rem] text-[0.9rem]">
          <caption className="eyebrow pb-1 text-left">Parameters</caption>
          <thead className="text-left text-[0.8rem] text-quiet">
            <tr>
              <th className="w-[30%] py-1 pr-3 font-medium">Parameter</th>
              <th className="w-[22%] pr-3 font-medium">Usual</th>
              <th className="w-[22%] pr-3 font-medium">Range</th>
              <th className="font-medium">Source of the typical value</th>
            </tr>
          </thead>
          <tbody>
            {parameterRows(kind, choice, atmosphericPa).map((r) => (
              <tr key={r.field} className="border-t border-hairline align-top">
                <th scope="row" className="py-1 pr-3 text-left font-medium">
                  {r.label}
                </th>
                <td className="py-1 pr-3 font-semibold">
                  <InUnits text={r.usual} />
                </td>
                <td className="py-1 pr-3 text-quiet">{r.range}</td>
                <td className="py-1 text-quiet">{r.source}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </Scrolls>
      <Cautions ids={cautions} />
    </article>
  );
}
