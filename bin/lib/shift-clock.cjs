// For tests that run on a date of their own: Node's clock, shifted by CLOCK_SHIFT_MS. Loaded with --require, and by Jest.
const shiftMs = Number(process.env.CLOCK_SHIFT_MS ?? 0);
const nowMs = Date.now.bind(Date);
if (shiftMs !== 0)
  globalThis.Date = new Proxy(Date, {
    construct: (date, given, asked) => Reflect.construct(date, given.length > 0 ? given : [nowMs() + shiftMs], asked),
    get: (date, name) => (name === 'now' ? () => nowMs() + shiftMs : Reflect.get(date, name)),
  });
