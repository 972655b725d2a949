import { readFileSync } from 'node:fs';
import { createServer } from 'node:http';
import path from 'node:path';

// A simulated forecast service, for the demo and for trying things out: HTTP, open JSON, no key. It takes the made-up years
// of weather/, and lets a humid spell come in on the fourth day.
//   node_modules/.bin/tsx instruments/forecast.ts [port]        GET /forecast?place=merrow-delta&days=7
const PLACES = {
  'merrow-delta': { name: 'Merrow Delta (simulated)', file: 'merrow-delta-humid.synthetic.epw' },
  'kestrin-plateau': { name: 'Kestrin Plateau (simulated)', file: 'kestrin-plateau-cold-dry.synthetic.epw' },
} as const;
type Place = keyof typeof PLACES;

const HEAD_LINES = 8;
const MOST_DAYS = 10;
const HOUR_MS = 3_600_000;

const years = new Map<Place, { temperatureC: number; dewPointC: number }[]>();
function yearOf(place: Place) {
  const known = years.get(place);
  if (known) return known;
  const text = readFileSync(path.join(import.meta.dirname, '../weather', PLACES[place].file), 'utf8');
  const hours = text
    .split('\n')
    .slice(HEAD_LINES)
    .filter(Boolean)
    .map((line) => line.split(','))
    .map((cells) => ({ temperatureC: Number(cells[6]), dewPointC: Number(cells[7]) }));
  years.set(place, hours);
  return hours;
}

/** Over water, Magnus (WMO); good enough for a simulation. */
const saturation = (c: number): number => Math.exp((17.62 * c) / (243.12 + c));

function forecast(place: Place, days: number, nowMs: number) {
  const year = yearOf(place);
  const start = Math.floor(nowMs / HOUR_MS) * HOUR_MS;
  return Array.from({ length: days * 24 }, (_, i) => {
    const ms = start + i * HOUR_MS;
    const date = new Date(ms);
    const hourOfYear = Math.floor((ms - Date.UTC(date.getUTCFullYear(), 0, 1)) / HOUR_MS) % year.length;
    const { temperatureC, dewPointC } = year[hourOfYear] as { temperatureC: number; dewPointC: number };
    // Warm and humid air, as of a midsummer, that comes in, stays two days and goes.
    const spell = Math.exp(-(((i - 90) / 26) ** 2));
    const c = temperatureC + (29 - temperatureC) * spell;
    const dew = Math.min(c - 0.4, dewPointC + (25 - dewPointC) * spell);
    return {
      time: date.toISOString().slice(0, 16),
      temperatureC: Number(c.toFixed(1)),
      relativeHumidity: Number((saturation(dew) / saturation(c)).toFixed(3)),
    };
  });
}

const port = Number(process.argv[2] ?? 3091);
createServer((request, response) => {
  const url = new URL(request.url ?? '/', 'http://localhost');
  const answer = (status: number, body: object): void => {
    response.writeHead(status, { 'content-type': 'application/json' }).end(JSON.stringify(body));
  };
  if (url.pathname !== '/forecast') return answer(404, { error: 'GET /forecast?place=…&days=7' });
  const place = (url.searchParams.get('place') ?? 'merrow-delta') as Place;
  if (!(place in PLACES)) return answer(400, { error: `Places: ${Object.keys(PLACES).join(', ')}` });
  const days = Math.min(MOST_DAYS, Math.max(1, Number(url.searchParams.get('days') ?? 7) || 7));
  const from = url.searchParams.get('from');
  const at = from === null ? Number.NaN : Date.parse(`${from}:00Z`);
  answer(200, {
    place: PLACES[place].name,
    places: Object.entries(PLACES).map(([id, { name }]) => ({ id, name })),
    hours: forecast(place, days, Number.isNaN(at) ? Date.now() : at),
  });
}).listen(port, '127.0.0.1', () => console.log(`Forecasts at http://127.0.0.1:${port}/forecast`));
