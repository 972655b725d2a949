import { leakOf } from '../../day/leaks';
import { CHILLED, DRYERS, FILTERS, is, TOWERS } from '../../equipment/groups';
import { drainOf, hasBelt, hasDrain } from '../../fault/fault';
import { isHeldOpen } from '../../line/drain-air';
import { stageById } from '../../plan/runs';
import type { CheckKind } from './check-kind';

/** How surely a look shows what is so: as a standard deviation of 1 for yes and 0 for no (estimate). */
const LOOK = { quantity: 'look', abs: 0.3, rel: 0, standsMin: 0 } as const;

/** What is looked at, heard or asked: yes or no. Minutes are estimates of common practice, no source. */
export const LOOKS = {
  hiss: {
    ...LOOK,
    label: 'A hiss, or soap that foams',
    how: 'Everything shut off and quiet, the line at its pressure: listen, then soap it.',
    minutes: 4,
    tool: 'soap',
    cautions: [],
    canRead: (s) => ['hose', 'hose-reel', 'coupler', 'check-valve', 'unloader'].includes(s.kind) || hasDrain(s),
    read: (_section, plan, id) => {
      const stage = stageById(plan, id);
      return Number(stage !== undefined && (leakOf(stage) > 0 || isHeldOpen(stage)));
    },
  },
  fan: {
    ...LOOK,
    label: 'Its fan turns, and blows the right way',
    how: 'Look while the compressor is loaded; a strip of paper shows which way it blows.',
    minutes: 1,
    cautions: ['C09'],
    canRead: (s) => s.kind === 'aftercooler',
    read: () => 1,
  },
  cloth: {
    ...LOOK,
    label: 'Drops or oil on a white cloth downstream of it',
    how: 'Blow on a white cloth for a minute at the next opening, from an arm’s length, with eyes covered.',
    minutes: 3,
    cautions: ['C07'],
    canRead: (s) => is(FILTERS, s.kind),
    read: (section, _plan, id) => Number((section.at(id)?.liquidKgPerS ?? 0) > 1e-9),
  },
  'more-use': {
    ...LOOK,
    label: 'A tool was added, or more run at once than before',
    how: 'Ask whoever works there, and count what runs.',
    minutes: 2,
    cautions: [],
    canRead: (s) => s.kind === 'outlet',
    read: () => 0,
  },
  switches: {
    ...LOOK,
    label: 'Its towers change over',
    how: 'Watch both gauges for a whole cycle.',
    minutes: 10,
    cautions: [],
    canRead: (s) => is(TOWERS, s.kind),
    read: () => 1,
  },
  colour: {
    ...LOOK,
    label: 'Most of its beads have changed colour',
    how: 'Look at the beads in good light, from the inlet to the outlet.',
    minutes: 1,
    cautions: [],
    canRead: (s) => s.kind === 'bead-cartridge',
    read: (_section, plan, id) =>
      Number((((stageById(plan, id)?.parameters ?? {}) as { spentShare?: number }).spentShare ?? 0) > 0.5),
  },
  patterns: {
    ...LOOK,
    label: 'Its plug and its coupler are of two patterns',
    how: 'Let off its pressure, take it apart, and lay the plug beside one that fits.',
    minutes: 3,
    cautions: ['C19'],
    canRead: (s) => s.kind === 'coupler',
    read: (_section, plan, id) =>
      Number(((stageById(plan, id)?.parameters ?? {}) as { halves?: string }).halves === 'patterns'),
  },
  plate: {
    ...LOOK,
    label: 'Its plate allows less than what comes, at this temperature and pressure',
    how: 'Read the plate; correct its flow for the temperature at its inlet, the pressure and the room, by its sheet.',
    minutes: 5,
    cautions: [],
    canRead: (s) => is(CHILLED, s.kind) && 'ratedFlowM3PerS' in s.parameters,
    read: () => 0,
  },
  below: {
    ...LOOK,
    label: 'It leaves the main at the side or the bottom',
    how: 'Follow it back to the tee.',
    minutes: 2,
    cautions: [],
    canRead: (s) => s.kind === 'pipe' && (s.parameters as { use?: string }).use !== 'main',
    read: (_section, plan, id) =>
      Number(((stageById(plan, id)?.parameters ?? {}) as { takeOff?: string }).takeOff === 'side'),
  },
  'good-gauge': {
    ...LOOK,
    label: 'A good gauge there reads the same',
    how: 'A gauge that was compared lately, on a tee or a quick coupler at the same place.',
    minutes: 6,
    tool: 'gauge',
    cautions: ['C07'],
    canRead: (s) => s.kind === 'regulator' || s.kind === 'receiver' || s.kind === 'outlet',
    read: () => 1,
  },
  'second-meter': {
    ...LOOK,
    label: 'A second dew-point meter there reads the same',
    how: 'Another probe at the same place, on a short line of steel or PTFE; wait until it has settled.',
    minutes: 20,
    tool: 'meter',
    cautions: [],
    canRead: (s) => is(DRYERS, s.kind),
    read: () => 1,
  },
  bypass: {
    ...LOOK,
    label: 'Its shut bypass hisses, or is as warm as the air upstream',
    how: 'Hand or thermometer on the bypass behind its valve; listen with ultrasound or a rod.',
    minutes: 4,
    cautions: [],
    canRead: (s) => is(CHILLED, s.kind),
    read: () => 0,
  },
  opens: {
    ...LOOK,
    label: 'It opens by its test button',
    how: 'Press the test button while the line is under pressure, its outlet pointed away from people.',
    minutes: 1,
    cautions: ['C20'],
    canRead: (s) => drainOf(s) === 'timer',
    read: () => 1,
  },
  'in-the-morning': {
    ...LOOK,
    label: 'In the morning it stands under pressure, cold, with water in it',
    how: 'Before anybody starts: look at its gauge, and open its drain by hand.',
    minutes: 3,
    cautions: ['C20'],
    canRead: (s) => s.kind === 'receiver',
    read: () => 0,
  },
  'runs-without-air': {
    ...LOOK,
    label: 'Water still comes when the compressor stands and its air is let off',
    how: 'Stop the compressor, let its air off, leave the cooling water on, and watch the drain downstream of it.',
    minutes: 8,
    cautions: ['C07'],
    canRead: (s) => s.kind === 'water-cooler',
    read: (_section, plan, id) => {
      const stage = stageById(plan, id);
      return Number(stage?.kind === 'water-cooler' && stage.parameters.tubeLeakKgPerS > 0);
    },
  },
  belt: {
    ...LOOK,
    label: 'Its belt squeals, is slack, or leaves dust',
    how: 'Listen while it starts; then locked out, press the belt in the middle between its pulleys.',
    minutes: 4,
    cautions: ['C07'],
    canRead: (s) => hasBelt(s),
    read: () => 0,
  },
  'back-pressure': {
    ...LOOK,
    label: 'The tower that regenerates stands under pressure',
    how: 'Its gauge, in the middle of its half-cycle: it should show next to nothing.',
    minutes: 4,
    cautions: [],
    canRead: (s) => is(TOWERS, s.kind),
    read: () => 0,
  },
  'one-tower': {
    ...LOOK,
    label: 'Only one of its towers is wet: the dew point rises in every other half-cycle',
    how: 'Watch the dew-point meter over two whole cycles.',
    minutes: 20,
    tool: 'meter',
    cautions: [],
    canRead: (s) => is(TOWERS, s.kind),
    read: () => 0,
  },
  brown: {
    ...LOOK,
    label: 'Its beads are brown or oily',
    how: 'Vented and proven without pressure: take a spoonful from the inlet, look and feel.',
    minutes: 20,
    cautions: ['C07'],
    canRead: (s) => is(TOWERS, s.kind),
    read: () => 0,
  },
  creeps: {
    ...LOOK,
    label: 'Its pressure climbs while nobody draws air',
    how: 'Everything shut downstream: watch its gauge for five minutes.',
    minutes: 5,
    cautions: ['C07'],
    canRead: (s) => s.kind === 'regulator',
    read: () => 0,
  },
} as const satisfies Record<string, CheckKind>;
