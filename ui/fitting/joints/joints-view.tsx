'use client';

import { useMemo } from 'react';
import { fewestKinds, sumOf } from '@/core/fitting/fewest-kinds';
import { type Joint, jointsOf, keyOfChain } from '@/core/fitting/joints';
import { isConduit } from '@/core/fitting/ports';
import type { Fit, Fitting } from '@/core/plan/fit-fields';
import type { Stage } from '@/core/plan/plan';
import { allStages, withStage } from '@/core/plan/runs';
import { ChoiceInput } from '@/ui/forms/choice-input';
import { usePlan } from '@/ui/plan/plan-provider';
import { Cautions } from '@/ui/primitives/cautions';
import { JointItem } from './joint-item';
import { ThreadFinder } from './thread-finder';

const THREADS = { npt: 'NPT', bspt: 'BSPT (R, Rp, Rc)' };
const COUPLERS = {
  'coupler-a': 'profile A',
  'coupler-b': 'profile B',
  'coupler-c': 'profile C',
  'coupler-7.2': '7.2–7.4 mm profile',
  'coupler-full': 'full-flow profile',
};

/** Every joint of the line: what meets, what goes between, and where it would leak. */
export function JointsView() {
  const { plan, section, edit } = usePlan();
  const joints = useMemo(() => jointsOf(plan, section), [plan, section]);
  const stages = useMemo(() => new Map(allStages(plan).map((s) => [s.id, s])), [plan]);
  const set = (more: Partial<Fitting>): void => edit((p) => ({ ...p, fitting: { ...p.fitting, ...more } }));
  const onFit = (stageId: string, fit: Fit): void =>
    edit((p) => withStage(p, stageId, (s) => ({ ...s, fit }) as Stage));
  const open = joints.filter((j) => !j.chosen);
  const traps = joints.filter((j) => j.trap);
  return (
    <div className="grid items-start gap-6 lg:grid-cols-[minmax(0,1fr)_24rem]">
      <section aria-label="Joints" className="grid gap-3">
        <p>
          <strong>{joints.length} joints</strong>
          {open.length > 0 && (
            <span className="text-brick"> · ▲ {open.length} cannot be made with the parts that are common</span>
          )}
          {traps.length > 0 && <span className="text-amber"> · ▲ {traps.length} would screw on and leak</span>}
          {open.length + traps.length === 0 && <span className="text-quiet"> · each has its parts</span>}
        </p>
        <ol className="grid divide-y divide-hairline">
          {joints.map((j) => {
            const stage = stages.get(j.stageId) as Stage;
            const before = stages.get(j.sides[0].stageId ?? '');
            const canTube = !j.tee && !isConduit(stage) && (before === undefined || !isConduit(before));
            return (
              <JointItem
                key={j.id}
                joint={j}
                stage={stage}
                before={before}
                canTube={canTube && j.at === 'in'}
                onFit={onFit}
              />
            );
          })}
        </ol>
      </section>
      <div className="grid gap-4">
        <section aria-label="One of each" className="grid gap-3 rounded-md border border-hairline bg-card p-4">
          <h2>One of each for the whole line</h2>
          <FewestKinds joints={joints} />
          <ChoiceInput
            id="site-thread"
            label="Pipe thread"
            value={plan.fitting.thread}
            options={THREADS}
            onCommit={(thread) => set({ thread: thread as Fitting['thread'] })}
            help="NPT and BSP look alike and leak on each other: keep one."
          />
          <ChoiceInput
            id="site-coupler"
            label="Quick couplers"
            value={plan.fitting.coupler}
            options={COUPLERS}
            onCommit={(coupler) => set({ coupler: coupler as Fitting['coupler'] })}
            help="Two profiles of one size do not latch, or latch and leak. Letters of ISO 6150."
          />
        </section>
        <ThreadFinder />
        <Cautions ids={['C07', 'C06']} />
      </div>
    </div>
  );
}

/** The chains of all joints together: what they come to, and with the fewest kinds of part. */
function FewestKinds({ joints }: { joints: readonly Joint[] }) {
  const { edit } = usePlan();
  const chosen = joints.flatMap((j) => j.chosen ?? []);
  const [parts, kinds] = sumOf(chosen);
  const apply = (): void => {
    const fewest = fewestKinds(joints);
    edit((p) =>
      joints.reduce((plan, j) => {
        const chain = fewest.get(j.id);
        if (!chain) return plan;
        return withStage(plan, j.stageId, (s) => {
          const chains = { ...s.fit?.chains, [j.at]: keyOfChain(chain) };
          return { ...s, fit: { ...s.fit, chains } } as Stage;
        });
      }, p),
    );
  };
  return (
    <p className="flex flex-wrap items-center gap-3">
      <span>
        <strong>{parts} parts</strong> <span className="text-quiet">of {kinds} kinds</span>
      </span>
      <button type="button" className="button ml-auto" onClick={apply}>
        Fewest kinds of part
      </button>
    </p>
  );
}
