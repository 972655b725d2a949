import { readFileSync } from 'node:fs';
import type { Connection } from 'mysql2/promise';
import { DEMO_PLAN_ID } from '../db/demo';

export const LONG = [1, 2].map((n) => `b0000000-0000-4000-8000-00000000000${n}`);

/** Made in the database itself: entries of each kind at each stage, one an hour back from now. */
export async function fill(db: Connection, entries: number, lines: number): Promise<void> {
  const copyOf = (id: string, name: string, n = ''): string =>
    `INSERT INTO plans (id, is_demo, row_version, document, created_at, updated_at)
     SELECT ${id}, 0, 1, JSON_SET(document, '$.name', ${name}), NOW(3), NOW(3) FROM plans${n} WHERE id = '${DEMO_PLAN_ID}'`;
  for (const id of LONG) await db.query(copyOf(`'${id}'`, `'A long log'`));
  await db.query(
    `INSERT INTO plans (id, is_demo, row_version, document, created_at, updated_at)
     SELECT UUID(), 0, 1, JSON_SET(p.document, '$.name', CONCAT('Hall ', s.seq)), NOW(3), NOW(3) - INTERVAL s.seq MINUTE
     FROM seq_1_to_${lines} s, plans p WHERE p.id = '${DEMO_PLAN_ID}'`,
  );
  const stage = `ELT(1 + s.seq % 6, 'separator', 'receiver', 'coalescer', 'dryer', 'frame-bowl', 'press-beads')`;
  const kind = `IF(s.seq % 7 = 0, 'observation', IF(s.seq % 501 = 0, 'change', IF(s.seq % 97 = 0, 'complaint', IF(s.seq % 3 = 0, 'reading', 'done'))))`;
  const at = `DATE_FORMAT(NOW() - INTERVAL s.seq * 20 MINUTE, '%Y-%m-%dT%H:%i')`;
  for (const id of LONG) {
    await db.query(
      `INSERT INTO log_entries (id, plan_id, stage_id, stage_name, kind, task, measured_at, who, entry, expected, entered_at)
       SELECT e.id, '${id}', e.stage, e.stage, e.kind, e.task, e.at, 'Ida', JSON_OBJECT(
         'id', e.id, 'kind', e.kind, 'stageId', e.stage, 'task', e.task, 'measuredAt', e.at, 'who', 'Ida', 'result', NULL,
         'chargeId', NULL, 'what', IF(e.kind = 'observation', CONCAT('seen again, number ', e.seq), ''), 'instrument', 'fitted',
         'readings', IF(e.kind IN ('reading', 'done'), JSON_ARRAY(JSON_OBJECT('of', e.of, 'value', 1000 + e.seq % 977)), JSON_ARRAY()),
         'intakeTemperatureC', NULL, 'intakeRelativeHumidity', NULL, 'until', NULL,
         'symptom', IF(e.kind = 'complaint', 'D01', NULL), 'amends', NULL, 'photoId', NULL),
         JSON_ARRAY(JSON_OBJECT('value', 1400, 'low', 1200, 'high', 1600)), NOW(3)
       FROM (SELECT s.seq, UUID() AS id, ${stage} AS stage, ${kind} AS kind, ${at} AS at,
         IF(${kind} = 'done', ELT(1 + s.seq % 5, 'M01', 'M12', 'M06', 'M13', 'M22'), NULL) AS task,
         ELT(1 + (s.seq DIV 6) % 3, 'pressure-drop', 'temperature', 'seconds') AS of
         FROM seq_1_to_${entries} s) e`,
    );
    await db.query(
      `INSERT INTO readings SELECT e.id, r.of, e.plan_id, e.stage_id, e.measured_at, e.stands, r.value, 1400, 1200, 1600
       FROM log_entries e, JSON_TABLE(e.entry, '$.readings[*]' COLUMNS (of varchar(20) PATH '$.of', value double PATH '$.value')) r
       WHERE e.plan_id = '${id}'`,
    );
    await db.query(
      `INSERT INTO drain_entries SELECT UUID(), '${id}', d.stage_id, d.stage_name,
         DATE_FORMAT(NOW() - INTERVAL s.seq * 20 MINUTE, '%Y-%m-%dT%H:%i'), d.since_at, d.amount_m3 * (0.8 + s.seq % 5 / 10),
         d.appearance, d.who, d.note, d.loaded_hours, d.intake_temperature_c, d.intake_relative_humidity, d.counted_hours,
         d.expected_kg, d.low_kg, d.high_kg, NULL, NOW(3), d.why
       FROM seq_1_to_${entries} s, (SELECT * FROM drain_entries WHERE plan_id = '${DEMO_PLAN_ID}' AND why IS NOT NULL LIMIT 1) d`,
    );
  }
  // The marks as the migration makes them for a log that is there already.
  const [, , marks] = readFileSync('db/migrations/0011_log_marks.sql', 'utf8').split('--> statement-breakpoint');
  await db.query(marks as string);
  await db.query('ANALYZE TABLE plans, log_entries, readings, drain_entries');
}
