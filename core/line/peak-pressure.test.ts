import { coincidentPeak, demandM3PerS } from '../network/demand';
import { insertStage, setParameter } from '../plan/edit';
import { addBranch } from '../plan/edit-branches';
import type { Plan, Stage } from '../plan/plan';
import { allStages } from '../plan/runs';
import { CFM, FREE_AIR_KG_PER_M3, PSI } from '../quantity/constants';
import { planOf, stageOf } from '../test/plan-of';
import { inAll, judgeOutlets, type OutletJudgement } from './judge-outlet';
import { explainPeak, type WorstMoment, worstMoments } from './peak-pressure';
import { walk } from './walk';
import { waterfallTo } from './waterfall';

const HALF_BAND = 3e4; // of planOf
const outlet = (id: string, cfm: number, more: object = {}): Stage =>
  stageOf('outlet', { flowM3PerS: cfm * CFM, usedShare: 0.2, leastPressurePa: 5e5, ...more }, id);
/** A tank at 7.2 bar when the compressor cuts in, a standard quarter-inch coupler, and jobs downstream of it. */
const line = (...jobs: Stage[]): Plan =>
  planOf(
    { pressurePa: 7.2e5 + HALF_BAND, flowM3PerS: 10 * CFM, temperatureC: 20 },
    stageOf('receiver', { method: 'measured', outletTemperatureC: 20 }),
    stageOf('coupler', {}),
    ...jobs,
  );
/** At each outlet; 0 and what stops it where the line cannot pass so much. */
const peakPressures = (plan: Plan) =>
  new Map(
    [...worstMoments(plan)].map(([id, { section }]) => [
      id,
      { pressurePa: section.at(id)?.pressurePa ?? 0, stoppedBy: section.at(id) ? undefined : section.problem },
    ]),
  );
const lost = (plan: Plan, id: string): number => (7.2e5 - (peakPressures(plan).get(id)?.pressurePa ?? 0)) / PSI;

test('one 15 cfm tool loses 2–5 psi in a standard quarter-inch coupler (trade handbook, estimate), however seldom it blows', () => {
  expect(lost(line(outlet('a', 15)), 'a')).toBeCloseTo(3.5, 0);
  expect(lost(line(outlet('a', 15, { usedShare: 0.01 })), 'a')).toBeCloseTo(3.5, 0);
});

// Balance of air: what comes is what the tool takes and what the towers blow at that moment. 5 %: free air of 20 °C or of 15 °C,
// and the nozzle at the middle of the band or at cut-in.
test.each(['twin-tower', 'heated-purge-tower'] as const)(
  'while the purge of a %s blows, the tool gets what it takes and no more, whatever switches it',
  (kind) => {
    const arriving = (control: string): number => {
      const plan = line(stageOf(kind, { control, ratedFlowM3PerS: 16 * CFM } as object), outlet('a', 10));
      const { section, peak } = worstMoments(plan).get('a') as WorstMoment;
      return (section.at('a')?.dryAirKgPerS ?? 0) / FREE_AIR_KG_PER_M3 / (peak.get('a') as number);
    };
    const always = arriving(kind === 'twin-tower' ? 'fixed' : 'timer');
    expect(Math.abs(always - 1)).toBeLessThan(0.05);
    expect(arriving('dew-point')).toBe(always);
  },
);

test('two at once lose some four times as much (turbulent flow); two that are never used together do not', () => {
  const both = line(outlet('a', 7.5), outlet('b', 7.5));
  const turns = line(outlet('a', 7.5, { turns: 'a' }), outlet('b', 7.5, { turns: 'a' }));
  expect(lost(both, 'a') / lost(turns, 'a')).toBeCloseTo(4, 0);
  expect(demandM3PerS(both)).toBeCloseTo(demandM3PerS(turns), 12); // the water does not care
  expect(walk(both).figures).toEqual(walk(turns).figures);
});

test('at its own worst moment an outlet blows itself; beside it the thirstiest of each other group', () => {
  const plan = line(
    outlet('small', 2, { turns: 'a' }),
    outlet('large', 9, { turns: 'a' }),
    outlet('b1', 3, { turns: 'b' }),
    outlet('b2', 4, { turns: 'b' }),
    outlet('never', 50, { usedShare: 0 }),
    outlet('alone', 1),
  );
  const blows = (id: string) => [...coincidentPeak(allStages(plan), id).keys()].sort();
  expect(blows('small')).toEqual(['alone', 'b2', 'small']);
  expect(blows('alone')).toEqual(['alone', 'b2', 'large']);
  expect(peakPressures(plan).has('never')).toBe(false);
  expect(explainPeak(plan, 'small', 7e5)).toMatchObject({ note: expect.stringMatching(/only one blows/) });
  const flows = explainPeak(plan, 'small', 7e5).inputs.map((i) => Math.round(i.value / CFM));
  expect(flows.sort()).toEqual([1, 2, 4]);
});

test('a branch loses by its own flow, the main by what both take', () => {
  const base = line(outlet('main-job', 15));
  const plan = insertStage(
    setParameter(
      setParameter(addBranch(base, 'receiver', 'drop', 'bench'), 'bench', 'flowM3PerS', 7.5 * CFM),
      'bench',
      'usedShare',
      0.1,
    ),
    stageOf('coupler', {}, 'drop-coupler'),
    0,
    'drop',
  );
  expect(lost(plan, 'main-job')).toBeCloseTo(3.5, 0);
  expect(lost(plan, 'bench')).toBeCloseTo(3.5 / 4, 0);
});

test('a line that cannot pass so much says so, and the pressure judged is that of the worst moment', () => {
  const hungry = line(outlet('a', 200));
  const stopped = peakPressures(hungry).get('a');
  expect(stopped?.pressurePa).toBe(0);
  expect(stopped?.stoppedBy).toMatchObject({
    stageId: 'coupler',
    message: expect.stringMatching(/cannot pass so much/),
  });
  const judged = judgeOutlets(hungry, walk(hungry)).get('a');
  expect(judged?.pressure).toMatchObject({ getsPa: 0, enough: false });
  expect(judgeOutlets(line(outlet('a', 5)), walk(line(outlet('a', 5)))).get('a')?.pressure.enough).toBe(true);
});

test('dry enough and too weak is not what the job asked for; more than the compressor makes is named', () => {
  const judge = (leastPressurePa: number) => {
    const plan = line(outlet('a', 15, { leastPressurePa }));
    return judgeOutlets(plan, walk(plan)).get('a') as OutletJudgement;
  };
  expect(inAll(judge(5e5))).toBe(judge(5e5).verdict);
  expect(inAll(judge(7.1e5))).toBe('fails');
  expect(judge(7.1e5).pressure.losses[0]?.stageId).toBe('coupler');
  expect(judge(7.1e5).pressure.beyondCompressor).toBeUndefined();
  expect(judge(9e5).pressure.beyondCompressor).toBe(true);
});

test('without a receiver no more flows than the compressor gives', () => {
  const bare = planOf(
    { pressurePa: 7.2e5 + HALF_BAND, flowM3PerS: 15 * CFM, temperatureC: 20, dischargeC: 20 },
    stageOf('coupler', {}),
    outlet('a', 60),
  );
  expect(lost(bare, 'a')).toBeCloseTo(3.5, 0);
});

describe('where the pressure goes', () => {
  const hose = stageOf('hose', { lengthM: 15, boreM: 0.0065, insertBoreM: 0.005 }, 'hose');
  const regulator = stageOf('regulator', { setPressurePa: 6e5, droopPa: 2e4 }, 'regulator');
  const piped = line(stageOf('pipe', { size: '1/2', lengthM: 30, elbows: 6 }, 'pipe'), hose, outlet('a', 12));

  test('largest first; what is lost and what arrives make the cut-in pressure', () => {
    const fall = waterfallTo(piped, 'a');
    expect(fall?.steps.map((s) => s.stageId)).toEqual(['hose', 'coupler', 'pipe']);
    expect((fall?.arrivesPa ?? 0) + (fall?.totalLossPa ?? 0)).toBeCloseTo(fall?.cutInPa ?? 0, 3);
    expect(fall?.cutInPa).toBeCloseTo(7.2e5, 3);
  });

  test('one size up gives back what a walk of the changed line gives', () => {
    const step = waterfallTo(piped, 'a')?.steps.find((s) => s.stageId === 'pipe');
    const changed = peakPressures(setParameter(piped, 'pipe', 'size', '3/4')).get('a')?.pressurePa ?? 0;
    expect(step?.wider?.says).toMatch(/¾ in/);
    expect(step?.wider?.givesBackPa).toBeCloseTo(changed - (peakPressures(piped).get('a')?.pressurePa ?? 0), 3);
    expect(step?.wider?.givesBackPa).toBeGreaterThan(0.5 * (step?.lossPa ?? 0)); // a size up: some a quarter of the loss
  });

  test('what a regulator was set down by is not lost, what it falls by is; upstream of it a wider pipe gives back nothing', () => {
    const fall = waterfallTo(
      line(stageOf('pipe', { size: '1/2', lengthM: 30 }, 'pipe'), regulator, outlet('a', 12)),
      'a',
    );
    const step = fall?.steps.find((s) => s.stageId === 'regulator');
    expect(step?.lossPa).toBeCloseTo(2e4, 3);
    expect(step?.setDownPa).toBeGreaterThan(5e4);
    expect(fall?.steps.find((s) => s.stageId === 'pipe')?.wider?.givesBackPa).toBe(0);
  });

  test('a ring is followed the way the air goes, and nothing is lost twice', () => {
    const base = line(stageOf('pipe', { size: '1/2', lengthM: 5 }, 'near'), outlet('a', 4));
    const far = stageOf('pipe', { size: '1/2', lengthM: 60 }, 'far');
    const ring = {
      ...base,
      branches: [
        {
          ...{ id: 'arm', name: 'arm', from: 'receiver', into: 'a', split: 'pressure' as const, share: 0.5 },
          stages: [far, outlet('b', 12)],
        },
      ],
    };
    const fall = waterfallTo(ring, 'b');
    expect((fall?.arrivesPa ?? 0) + (fall?.totalLossPa ?? 0)).toBeCloseTo(fall?.cutInPa ?? 0, 3);
    // From both sides more arrives than by the long way alone.
    const alone = waterfallTo(
      { ...ring, branches: [{ ...(ring.branches[0] as (typeof ring.branches)[number]), into: null }] },
      'b',
    );
    expect(fall?.arrivesPa).toBeGreaterThan(alone?.arrivesPa ?? 0);
  });

  test('a clogged element gives back what a new one does not lose; a valve by its sheet may choke', () => {
    const clogged = { pressureLossPa: 6e4, cleanLossPa: 1e4, lossAtM3PerS: 12 * CFM };
    const fall = waterfallTo(line(stageOf('coalescing-filter', clogged, 'filter'), outlet('a', 12)), 'a');
    const step = fall?.steps.find((s) => s.stageId === 'filter');
    expect(step?.wider?.says).toBe('a new element');
    expect((step?.wider?.givesBackPa ?? 0) / (step?.lossPa ?? 1)).toBeCloseTo(5 / 6, 2);
    const small = line(stageOf('isolating-valve', { passes: 'sheet', conductance: 0.4 }, 'valve'), outlet('a', 12));
    expect(peakPressures(small).get('a')?.stoppedBy).toMatchObject({ stageId: 'valve' });
  });

  test('losses grow with the flow as media, passages and ports do (trade handbook: n = 1.2, 1.85, 2)', () => {
    const loss = (kind: 'coalescing-filter' | 'refrigerated-dryer', flow: number): number => {
      const stage = stageOf(kind, { pressureLossPa: 1e4, lossAtM3PerS: 10 * CFM }, 'x');
      return waterfallTo(line(stage, outlet('a', flow)), 'a')?.steps.find((s) => s.stageId === 'x')?.lossPa ?? 0;
    };
    expect(Math.log2(loss('coalescing-filter', 10) / loss('coalescing-filter', 5))).toBeCloseTo(1.2, 1);
    expect(Math.log2(loss('refrigerated-dryer', 10) / loss('refrigerated-dryer', 5))).toBeCloseTo(1.85, 1);
  });
});

test('no loss stays none, however little air it was read at; some loss read at hardly any is refused', () => {
  const at = (pressureLossPa: number) =>
    walk(line(stageOf('coalescing-filter', { pressureLossPa, lossAtM3PerS: 1e-11 }, 'x'), outlet('a', 2)));
  expect(at(0).at('x')?.pressurePa).toBeGreaterThan(1e5);
  expect(at(1).problem).toMatchObject({ stageId: 'x', field: 'pressureLossPa' });
});
