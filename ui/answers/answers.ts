/** The short answers: a page each, by its address. */
export const ANSWERS = {
  'hottest-day': {
    asks: 'Will this dryer cope on the hottest day?',
    says: 'Its load and dew point then, and the rating that copes.',
  },
  'which-dryer': {
    asks: 'Desiccant or refrigerated?',
    says: 'What fits the job, and what a year of it costs.',
  },
  'filter-place': {
    asks: 'Where does the filter go?',
    says: 'Where the air is cool enough for it to catch anything.',
  },
  sizes: {
    asks: 'What size of cooler, separator and tank?',
    says: 'For the compressor on its hottest day.',
  },
  'water-today': {
    asks: 'How much water today, and how often must I drain?',
    says: 'At each drain, by the air of today.',
  },
  beads: {
    asks: 'When do I change the beads?',
    says: 'How long a charge lasts, and what makes it last.',
  },
} as const;
export type AnswerName = keyof typeof ANSWERS;

export const isAnswer = (name: string): name is AnswerName => Object.hasOwn(ANSWERS, name);
