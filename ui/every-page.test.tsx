import fc from 'fast-check';
import { NuqsTestingAdapter } from 'nuqs/adapters/testing';
import type { ReactElement } from 'react';
import { renderToString } from 'react-dom/server';
import { lineYear } from '@/core/maintenance/due-on';
import { summaryOf } from '@/core/maintenance/log-summary';
import type { Plan } from '@/core/plan/plan';
import { METRIC } from '@/core/quantity/units';
import { anyPlan } from '@/core/test/any-plan';
import { dairyPlan } from '@/db/dairy';
import { demoPlan } from '@/db/demo';
import { AdviceView } from './advice/advice-view';
import { ChargesView } from './charges/charges-view';
import { CompareView } from './compare/compare-view';
import { DayView } from './day/day-view';
import { FindPage } from './find/find-view';
import { AssemblyView } from './fitting/assembly/assembly-view';
import { FittingFrame } from './fitting/fitting-frame';
import { JointsView } from './fitting/joints/joints-view';
import { LeakTestView } from './fitting/leak-test/leak-test-view';
import { PartsView } from './fitting/parts/parts-view';
import { RunView } from './fitting/run/run-view';
import { ThingsView } from './fitting/things/things-view';
import { LineView } from './line-section/line-view';
import { AllView } from './logbook/all-view';
import { LogbookView } from './logbook/logbook-view';
import { PlanProvider } from './plan/plan-provider';
import { CardsView } from './rounds/cards-view';
import { GoView } from './rounds/go-view';
import { RoundsView } from './rounds/rounds-view';
import { SheetView } from './rounds/sheet-view';
import { Frame } from './shell/frame';
import { SaveStatus } from './shell/save-status';
import { SurveyView } from './survey/survey-view';
import { TodayView } from './today/today-view';
import { UnitsProvider } from './units/units';
import { nowOnTheWall } from './units/when';
import { PlanPrint } from './water/plan/plan-print';
import { TodayView as WaterToday } from './water/today/drains-today-view';
import { WaterFrame } from './water/water-frame';
import { WaterProvider } from './water/water-provider';
import { WeatherView } from './water/weather/weather-view';
import { WeekView } from './water/week/week-view';
import { WinterView } from './water/winter/winter-view';
import { YearView } from './water/year/year-view';

jest.mock('next/navigation', () => ({
  useRouter: () => ({ push() {}, replace() {}, refresh() {}, prefetch() {} }),
  usePathname: () => '/lines/x/line',
  useSearchParams: () => new URLSearchParams(),
  useParams: () => ({ id: 'x' }),
}));

const log = summaryOf({ drains: [], entries: [], charges: [] });
const NO_TREND = { names: [], chosen: undefined, points: [], each: 1, expected: null, opened: [] };
const water = (view: ReactElement) => (
  <WaterProvider years={[]}>
    <WaterFrame>{view}</WaterFrame>
  </WaterProvider>
);
const PAGES: Readonly<Record<string, (plan: Plan) => ReactElement>> = {
  survey: () => <SurveyView />,
  line: () => <LineView />,
  find: () => <FindPage complaint={{ symptom: 'D01' }} findings={[]} due={undefined} entryId={undefined} />,
  run: () => (
    <FittingFrame>
      <RunView />
    </FittingFrame>
  ),
  joints: () => <JointsView />,
  parts: () => <PartsView shelf={[]} sites={[]} />,
  assembly: () => <AssemblyView />,
  'leak test': () => <LeakTestView />,
  things: () => <ThingsView shelf={[]} sites={[]} />,
  advice: () => <AdviceView />,
  compare: (plan) => (
    <CompareView
      revisions={[]}
      lines={[]}
      others={[{ key: 'other', title: 'Other', plan }]}
      proposals={{ rowVersion: 1, list: [] }}
      decides
    />
  ),
  day: () => <DayView />,
  today: () => <TodayView log={log} />,
  rounds: () => <RoundsView log={log} />,
  go: () => <GoView log={log} />,
  sheet: () => <SheetView log={log} address={undefined} />,
  cards: () => <CardsView log={log} />,
  logbook: () => <LogbookView entries={[]} drained={[]} next={undefined} />,
  all: () => (
    <AllView page={{ entries: [], next: undefined, lookedBackTo: undefined }} trend={NO_TREND} calibrations={[]} />
  ),
  charges: () => <ChargesView charges={[]} entries={[]} />,
  water: () => water(<WaterToday />),
  'drain plan': () => water(<PlanPrint />),
  weather: () => water(<WeatherView />),
  week: () => water(<WeekView />),
  winter: () => water(<WinterView />),
  year: () => water(<YearView />),
};

/** A page as the server sends it. */
const drawn = (plan: Plan, page: (plan: Plan) => ReactElement): string =>
  renderToString(
    <UnitsProvider initial={METRIC}>
      <NuqsTestingAdapter>
        <PlanProvider planId="x" stored={{ plan, rowVersion: 1 }}>
          <Frame planId="x" actions={<SaveStatus />}>
            {page(plan)}
          </Frame>
        </PlanProvider>
      </NuqsTestingAdapter>
    </UnitsProvider>,
  );

test('any line that is accepted is drawn on any page, with every figure a number (random)', () => {
  fc.assert(
    fc.property(anyPlan(demoPlan, dairyPlan), fc.constantFrom(...Object.keys(PAGES)), (plan, name) => {
      expect(drawn(plan, PAGES[name] as (plan: Plan) => ReactElement)).not.toMatch(/NaN|Infinity|undefined/);
    }),
    { numRuns: Number(process.env.RANDOM_PLANS ?? 200) },
  );
});

test('what is due is there as the page arrives where the server has its year', () => {
  const demo = demoPlan();
  const plan = { ...demo, routine: { ...demo.routine, startedOn: '2026-01-05' } };
  const year = lineYear({ plan, log, weather: undefined, now: nowOnTheWall() });
  expect(drawn(plan, () => <TodayView {...{ log, year }} rowVersion={1} />)).toContain('Overdue');
  expect(drawn(plan, () => <TodayView {...{ log, year }} rowVersion={2} />)).toContain('Calculating what is due');
});

test.each(Object.keys(PAGES))('what describes a control is there: %s', (name) => {
  const page = drawn(demoPlan(), PAGES[name] as (plan: Plan) => ReactElement);
  const all = (attribute: string) => [...page.matchAll(new RegExp(` ${attribute}="([^"]+)"`, 'g'))].map((m) => m[1]);
  const ids = new Set(all('id'));
  const named = [...all('aria-describedby'), ...all('aria-labelledby')].flatMap((of) => of?.split(' ') ?? []);
  // How a thing is dragged is put into the page once it is there.
  const dragged = ['stages', 'way-round'];
  expect(named.filter((id) => !ids.has(id) && !dragged.includes(id))).toEqual([]);
});
