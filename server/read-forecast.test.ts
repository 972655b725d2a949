import { createServer, type RequestListener, type Server, type ServerResponse } from 'node:http';
import type { AddressInfo } from 'node:net';
import { readForecast } from './read-forecast';

let service: Server | undefined;
afterEach(() => {
  service?.closeAllConnections();
  service?.close();
});

/** A forecast service that does as it likes. */
async function serving(listener: RequestListener): Promise<string> {
  const own = createServer(listener);
  service = own;
  await new Promise<void>((done) => own.listen(0, '127.0.0.1', done));
  return `http://127.0.0.1:${(own.address() as AddressInfo).port}/forecast`;
}
const flood = (r: ServerResponse): void => {
  while (!r.destroyed && r.write('[0],'.repeat(50_000)));
  if (!r.destroyed) r.once('drain', () => flood(r));
};
const hour = { time: '2026-11-27T09:00', temperatureC: 12, relativeHumidity: 0.8 };

test('asks for seven days of a place and passes on what it gets', async () => {
  let asked = '';
  const url = await serving((q, r) => {
    asked = q.url ?? '';
    r.end(JSON.stringify({ place: 'There', hours: [hour], more: 'is left aside' }));
  });
  expect(await readForecast({ place: 'merrow-delta' }, url)).toEqual({ place: 'There', places: [], hours: [hour] });
  expect(asked).toBe('/forecast?days=7&place=merrow-delta');
});

test.each<[string, RequestListener, RegExp]>([
  ['is slow', () => undefined, /did not answer within 0.2 s/],
  ['talks nonsense', (_q, r) => void r.end('<html>fine weather</html>'), /no forecast/],
  ['sends other JSON', (_q, r) => void r.end('{"hours":[{"time":1}]}'), /no forecast/],
  ['is broken', (_q, r) => void r.writeHead(500).end(), /answers with 500/],
  ['sends without end', (_q, r) => void flood(r), /sends too much/],
  [
    'sends its caller elsewhere',
    (_q, r) => void r.writeHead(302, { location: 'http://127.0.0.1:1/' }).end(),
    /not answer/,
  ],
  ['hangs up', (q) => void q.socket.destroy(), /does not answer/],
])('a service that %s is named in words, as 503', async (_what, listener, message) => {
  const url = await serving(listener);
  await expect(readForecast({}, url, 200)).rejects.toMatchObject({
    status: 503,
    message: expect.stringMatching(message),
  });
});

test('no service, and a place that is none', async () => {
  await expect(readForecast({}, '')).rejects.toMatchObject({ status: 503 });
  await expect(readForecast({}, 'file:///etc/passwd')).rejects.toMatchObject({ status: 503 });
  await expect(readForecast({ place: '../x' }, 'http://127.0.0.1:1')).rejects.toMatchObject({ status: 422 });
});
