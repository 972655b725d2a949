import type { Complaint } from '../diagnosis/finding/complaint';
import type { Fault } from '../fault/fault';
import type { Plan } from '../plan/plan';
import type { QuantityName } from '../quantity/units';

/** What a case practises. */
export const CASE_KINDS = {
  estimate: 'Estimate',
  setting: 'Set it',
  order: 'Put in order',
  find: 'Find the fault',
  routine: 'Plan a routine',
  instruments: 'Readings that disagree',
  schools: 'Where practice differs',
} as const;
export type CaseKind = keyof typeof CASE_KINDS;

/** Seasons of a case: air at the intake. Estimates of a temperate climate. */
export const SEASONS = {
  spring: { says: 'in spring', temperatureC: 14, relativeHumidity: 0.6 },
  august: { says: 'in August', temperatureC: 30, relativeHumidity: 0.65 },
  winter: { says: 'in winter', temperatureC: 4, relativeHumidity: 0.75 },
} as const;
export type Season = keyof typeof SEASONS;

/** A sentence, with its figure where it has one. */
export interface Because {
  readonly says: string;
  readonly si?: number;
  readonly quantity?: QuantityName;
}

/** What is asked, and how an answer is given. */
export type Asked =
  | {
      readonly form: 'number';
      readonly quantity: QuantityName;
      readonly truth: number;
      readonly never?: 'more' | 'less';
    }
  | { readonly form: 'choice'; readonly options: readonly string[]; readonly right: number }
  | {
      readonly form: 'order';
      readonly cards: readonly OrderCard[];
      /** What may be spent: some cards are left out. Nothing where all are there already. */
      readonly budget?: number;
      readonly best: readonly string[];
    }
  | {
      readonly form: 'pick';
      readonly options: readonly PickOption[];
      readonly budgetMin: number;
      readonly best: readonly string[];
    }
  | {
      readonly form: 'find';
      readonly complaint: Complaint;
      readonly hidden: { readonly fault: Fault; readonly stageId: string; readonly size: number };
    };

/** A stage that is put in its place, or left out. */
export interface OrderCard {
  readonly id: string;
  readonly name: string;
  readonly price?: number;
}

/** A task that may be planned: what it takes in a week, and what it keeps away. */
export interface PickOption {
  readonly id: string;
  readonly says: string;
  readonly minutesPerWeek: number;
  /** Faults in a year that it keeps away, by their estimates. */
  readonly worth: number;
}

/** A case as it is met: a line, a season, what somebody says, and what is asked. */
export interface PracticeCase {
  readonly kind: CaseKind;
  readonly seed: number;
  readonly level: 0 | 1 | 2;
  readonly title: string;
  readonly season: Season;
  readonly plan: Plan;
  /** Whoever is met says this. */
  readonly says: string;
  readonly asks: string;
  /** What the plates and gauges there say. */
  readonly given?: readonly Because[];
  readonly asked: Asked;
  /** The numbers behind the answer. */
  readonly because: readonly Because[];
}
