import { refusalOf } from './who-may-call';

const call = (method: string, headers: Record<string, string>) =>
  refusalOf({ method, headers: new Headers({ host: '127.0.0.1:3000', ...headers }) }, 'air.example, Shop.Example');

test.each([
  ['GET', {}],
  ['GET', { host: 'localhost' }],
  ['GET', { host: '[::1]:3000' }],
  ['GET', { host: 'SHOP.example:443' }],
  // A link on another page may lead here; it only reads.
  ['GET', { 'sec-fetch-site': 'cross-site', origin: 'http://evil.test' }],
  ['POST', {}],
  ['PUT', { 'sec-fetch-site': 'same-origin', origin: 'http://127.0.0.1:3000' }],
  ['POST', { host: 'air.example', origin: 'https://air.example' }],
])('%s with %o may go on', (method, headers) => {
  expect(call(method, headers)).toBeUndefined();
});

test.each([
  ['GET', { host: 'evil.test' }],
  ['GET', { host: '127.0.0.1.evil.test:3000' }],
  ['GET', { host: '' }],
  ['POST', { 'sec-fetch-site': 'cross-site' }],
  ['DELETE', { 'sec-fetch-site': 'same-site' }],
  ['POST', { origin: 'http://evil.test' }],
  ['PATCH', { origin: 'http://127.0.0.1:3001' }],
  ['POST', { origin: 'null' }],
  ['POST', { host: 'air.example', origin: 'http://127.0.0.1:3000' }],
])('%s with %o is refused', (method, headers) => {
  expect(call(method, headers)).toMatch(/name|origin/);
});
