import {
  Archive,
  BookOpen,
  Boxes,
  CalendarCheck,
  CircleGauge,
  ClipboardList,
  Clock,
  Columns3,
  Droplet,
  Droplets,
  Footprints,
  GraduationCap,
  Grape,
  Layers,
  type LucideIcon,
  MessageCircleQuestionMark,
  MessageSquareWarning,
  Ruler,
  SearchCheck,
  Sparkles,
  Waypoints,
  Wind,
  Wrench,
} from 'lucide-react';

/** A place of the menu. */
export interface MenuPlace {
  readonly group: 'Plan' | 'Maintain' | 'Calculators';
  readonly icon: LucideIcon;
  /** Whether the bar of a phone has room for it: always, or only where no line is open. */
  readonly phone?: 'always' | 'without a line';
  /** Whether pages below it count as it. */
  readonly below?: true;
}

/** Where one can go, with its key and what is found there: the menu, the keys, their list and the search are made of it. */
export interface Place {
  readonly name: string;
  readonly says: string;
  /** From a line’s own address, or from the start page where it needs none. */
  readonly of: 'line' | 'all';
  readonly path: string;
  readonly key?: string;
  readonly menu?: MenuPlace;
}

export const PLACES: readonly Place[] = [
  {
    name: 'Survey',
    says: 'conditions, compressor, jobs',
    of: 'line',
    path: '/survey',
    key: 'S',
    menu: { group: 'Plan', icon: CircleGauge, phone: 'always' },
  },
  {
    name: 'Line',
    says: 'where the water condenses',
    of: 'line',
    path: '/line',
    key: 'L',
    menu: { group: 'Plan', icon: Waypoints, phone: 'always' },
  },
  {
    name: 'Water',
    says: 'set the drains for today',
    of: 'line',
    path: '/water',
    key: 'R',
    menu: { group: 'Plan', icon: Droplet, phone: 'always', below: true },
  },
  { name: 'Water through the year', says: 'hour by hour', of: 'line', path: '/water/year' },
  { name: 'Water this week', says: 'what to set before the humid day', of: 'line', path: '/water/week' },
  { name: 'Winter', says: 'what may freeze, and what to do before', of: 'line', path: '/water/winter' },
  { name: 'Weather', says: 'import a year, choose one', of: 'line', path: '/water/weather' },
  {
    name: 'Advice',
    says: 'what is wrong, missing or dangerous, and how to fix it',
    of: 'line',
    path: '/advice',
    key: 'J',
    menu: { group: 'Plan', icon: MessageSquareWarning, phone: 'always' },
  },
  {
    name: 'Compare',
    says: 'revisions, copies, differences, cost',
    of: 'line',
    path: '/compare',
    key: 'V',
    menu: { group: 'Plan', icon: Columns3 },
  },
  {
    name: 'Fitting',
    says: 'the run as drawn, joints, parts, assembly, leak test',
    of: 'line',
    path: '/fitting',
    key: 'F',
    menu: { group: 'Plan', icon: Wrench, below: true },
  },
  { name: 'Joints', says: 'what meets, and the parts between', of: 'line', path: '/fitting/joints' },
  { name: 'Parts', says: 'the bill, by shop aisle', of: 'line', path: '/fitting/parts' },
  { name: 'Assembly', says: 'how it is put together, step by step', of: 'line', path: '/fitting/assembly' },
  { name: 'Leak test', says: 'shut in, correct, record', of: 'line', path: '/fitting/leak-test' },
  { name: 'Installed', says: 'plates, ages, settings, how each opens', of: 'line', path: '/fitting/things' },
  {
    name: 'Compressor cycle',
    says: 'starts, loads, what the drains pass',
    of: 'line',
    path: '/day',
    key: 'D',
    menu: { group: 'Plan', icon: Clock },
  },
  {
    name: 'Today',
    says: 'what is overdue, due and drifting',
    of: 'line',
    path: '/today',
    key: 'T',
    menu: { group: 'Maintain', icon: CalendarCheck, phone: 'always' },
  },
  {
    name: 'Rounds',
    says: 'go on one, set the route',
    of: 'line',
    path: '/rounds',
    key: 'G',
    menu: { group: 'Maintain', icon: Footprints, phone: 'always', below: true },
  },
  {
    name: 'Find the fault',
    says: 'from a complaint to its cause, by the checks that tell most',
    of: 'line',
    path: '/find',
    key: 'U',
    menu: { group: 'Maintain', icon: SearchCheck },
  },
  {
    name: 'Logbook',
    says: 'log a drain, a reading or a repair',
    of: 'line',
    path: '/logbook',
    key: 'B',
    menu: { group: 'Maintain', icon: ClipboardList, phone: 'always', below: true },
  },
  {
    name: 'Desiccant & elements',
    says: 'what is installed, and when it is exhausted',
    of: 'line',
    path: '/charges',
    key: 'H',
    menu: { group: 'Maintain', icon: Boxes },
  },
  {
    name: 'Shelf',
    says: 'what is owned and not fitted, on all sites',
    of: 'all',
    path: '/shelf',
    key: 'K',
    menu: { group: 'Maintain', icon: Archive },
  },
  {
    name: 'Planner',
    says: 'what to build for your jobs',
    of: 'all',
    path: '/planner',
    key: 'N',
    menu: { group: 'Plan', icon: Sparkles },
  },
  {
    name: 'Short answers',
    says: 'six questions, a screen each',
    of: 'all',
    path: '/answers',
    key: 'Q',
    menu: { group: 'Calculators', icon: MessageCircleQuestionMark, below: true },
  },
  {
    name: 'Dew point',
    says: 'convert a dew point or humidity',
    of: 'all',
    path: '/dew-point',
    key: 'W',
    menu: { group: 'Calculators', icon: Droplets, phone: 'without a line' },
  },
  {
    name: 'Desiccant charge',
    says: 'size a cartridge, dry a charge',
    of: 'all',
    path: '/beads',
    key: 'E',
    menu: { group: 'Calculators', icon: Grape, phone: 'without a line' },
  },
  {
    name: 'Dryers',
    says: 'every type for one duty',
    of: 'all',
    path: '/dryers',
    key: 'Y',
    menu: { group: 'Calculators', icon: Wind },
  },
  {
    name: 'Sizes',
    says: 'compressor, receiver, cooler, separator, pipe, hose',
    of: 'all',
    path: '/sizes',
    key: 'Z',
    menu: { group: 'Calculators', icon: Ruler },
  },
  {
    name: 'Practice',
    says: 'cases to learn by: a complaint, instruments, and a clock',
    of: 'all',
    path: '/practice',
    key: 'P',
    menu: { group: 'Calculators', icon: GraduationCap },
  },
  {
    name: 'Desiccant bed',
    says: 'front, temperature, outlet air',
    of: 'all',
    path: '/bed',
    key: 'I',
    menu: { group: 'Calculators', icon: Layers },
  },
  {
    name: 'Catalogue',
    says: 'what each kind does, and where its values come from',
    of: 'all',
    path: '/catalogue',
    key: 'C',
    menu: { group: 'Calculators', icon: BookOpen, phone: 'without a line' },
  },
  { name: 'Work list', says: 'what is due where; plan a visit', of: 'all', path: '/work' },
  { name: 'Sites', says: 'lines by customer and place', of: 'all', path: '/sites' },
  { name: 'Outbox', says: 'what this device still has to send', of: 'all', path: '/outbox' },
  { name: 'Settings', says: 'people, sharing, your account', of: 'all', path: '/settings' },
];

/** The address of a place, from a line that is open. */
export function hrefOf({ of, path }: Place, planId: string | undefined): string {
  if (of === 'line') return `/lines/${planId}${path}`;
  return planId ? `${path}?from=${planId}` : path;
}
