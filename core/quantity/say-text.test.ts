import { SYMPTOMS } from '../diagnosis/symptoms';
import { fieldsOf, KINDS, type KindName } from '../equipment/index';
import { CAUTIONS } from '../equipment/shared/cautions';
import { ISOLATION } from '../maintenance/task';
import { TASKS } from '../maintenance/tasks';
import { say as inUnits } from './format';
import { sayText } from './say-text';

test('figures in braces come in the reader’s units; the rest stays (14.4 °F for 8 K, 100 psi for 6.895 bar, by hand)', () => {
  const us = (si: number, q: Parameters<typeof inUnits>[1]): string =>
    inUnits(si, q, { temperature: 'F', temperatureDifference: 'Fd', pressureDifference: 'psi' });
  expect(sayText('Air {8 K} over the room, {−40 °C}, {6.895 bar}: read it {now}.', us)).toMatch(
    /^Air 14\.4.°F diff over the room, −40(\.0)?.°F, 100(\.0)?.psi: read it \{now\}\.$/,
  );
});

test('no figure of a text stands outside braces in one reader’s units: kinds, fields, tasks, cautions, complaints', () => {
  const texts = [
    ...ISOLATION,
    ...Object.values(CAUTIONS).map((c) => c.text),
    ...TASKS.flatMap((t) => [
      t.tools,
      t.accept,
      t.abnormal,
      ...t.steps.map((s) => (typeof s === 'string' ? s : s.says)),
    ]),
    ...SYMPTOMS.flatMap((s) => s.causes.map((c) => c.check)),
    ...(Object.keys(KINDS) as KindName[]).flatMap((kind) => [
      KINDS[kind].does,
      KINDS[kind].needs?.before ?? '',
      ...fieldsOf(kind).flatMap(([, meta]) => [meta.help ?? '', ...Object.values(meta.options ?? {})]),
    ]),
  ];
  const bare = (text: string): boolean =>
    /\d[\s\u00a0]?(°C|°F|K|bar|psi|psig|cfm|scfm)\b/.test(text.replaceAll(/\{[^{}]*\}/g, ''));
  expect(texts.length).toBeGreaterThan(500);
  expect(texts.filter(bare)).toEqual([]);
});
