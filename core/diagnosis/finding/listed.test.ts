import { SYMPTOMS } from '../symptoms';
import { believeListed, nextLook } from './listed';

it.each(SYMPTOMS.map((s) => [s.id, s] as const))(
  '%s: adds up to one, begins with the first of the handbook, and one look that shows leads to its cause',
  (_, symptom) => {
    const first = believeListed(symptom, new Map());
    expect(first.reduce((sum, b) => sum + b.probability, 0)).toBeCloseTo(1, 9);
    expect([first[0]?.index, nextLook(symptom, new Map())]).toEqual([0, 0]);
    const last = symptom.causes.length - 1;
    const all = new Map(symptom.causes.map((_, i) => [i, i === last] as const));
    expect(believeListed(symptom, all)[0]?.index).toBe(last);
    expect(nextLook(symptom, all)).toBeUndefined();
    // Nothing of the list: it is another cause.
    const none = new Map(symptom.causes.map((_, i) => [i, false] as const));
    if (last > 0) expect(believeListed(symptom, none)[0]?.index).toBe(-1);
  },
);
