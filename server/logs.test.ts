import { register } from '../instrumentation';
import { logLine } from './people/log-line';

test('a log that cannot be written stops nothing', () => {
  const fail = () => process.stderr.emit('error', new Error('ENOSPC'));
  expect(fail).toThrow('ENOSPC');
  process.env.NEXT_RUNTIME = 'nodejs';
  register();
  expect(fail).not.toThrow();
});

test('of an error while somebody signs in the log has no token', () => {
  const cause = Object.assign(new Error('connect'), { code: 'ECONNREFUSED' });
  const failed = new Error('Failed query: select … params: a-token', { cause });
  expect(logLine('INTERNAL_SERVER_ERROR', failed)).toBe('sign-in: INTERNAL_SERVER_ERROR ECONNREFUSED');
  expect(logLine('INTERNAL_SERVER_ERROR', new TypeError('a-token'))).toBe('sign-in: INTERNAL_SERVER_ERROR TypeError');
  expect(logLine('No secret', undefined)).toBe('sign-in: No secret');
});
