import { chromium } from '@playwright/test';
import type { Plan } from '../core/plan/plan';
import { allStages } from '../core/plan/runs';
import { dairyPlan } from '../db/dairy';
import { fortyStages } from './forty-stage-plan';

// From a keystroke to the repainted section, in Chromium with the CPU slowed four times, for a line of 40 stages and 12
// branches, and for the dairy of the demo. Needs a running server with a production build: bin/start, then BASE_URL=… tsx bench/edit-to-paint.ts
const base = process.env.BASE_URL ?? 'http://127.0.0.1:3000';
const BUDGET_MS = 50;
const SLOWED = 4;
const EDITS = 30;

async function put(plan: Plan): Promise<string> {
  const id = crypto.randomUUID();
  const answer = await fetch(`${base}/api/plans`, {
    method: 'POST',
    body: JSON.stringify({ id, plan }),
    headers: { 'content-type': 'application/json' },
  });
  if (!answer.ok) throw new Error(await answer.text());
  return id;
}

/**
 * Types into a field and waits for the frame behind it, some times; the middle of the times, ms. Beside it how long the same
 * browser takes for thirty million square roots, which tells a quiet spell of the machine from a busy one.
 */
async function measure(
  address: string,
  label: string,
  values: readonly string[],
): Promise<{ middle: number; worst: number; machine: number }> {
  const browser = await chromium.launch({
    executablePath: '/usr/bin/chromium',
    args: ['--no-sandbox', '--disable-gpu'],
  });
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  await page.goto(address);
  await page.waitForTimeout(1500);
  const session = await page.context().newCDPSession(page);
  await session.send('Emulation.setCPUThrottlingRate', { rate: SLOWED });
  const machine = await page.evaluate(() => {
    const start = performance.now();
    let sum = 0;
    for (let i = 0; i < 3e7; i++) sum += Math.sqrt(i);
    return sum > 0 ? performance.now() - start : 0;
  });
  const field = page.getByLabel(label, { exact: true });
  const times: number[] = [];
  for (let i = 0; i < EDITS; i++) {
    times.push(
      await field.evaluate(
        async (input: HTMLInputElement, value) => {
          const set = Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value')?.set;
          const start = performance.now();
          set?.call(input, value);
          input.dispatchEvent(new Event('input', { bubbles: true }));
          // The frame that shows the edit has been painted once a task after its callbacks runs.
          await new Promise<void>((done) => requestAnimationFrame(() => setTimeout(done)));
          return performance.now() - start;
        },
        values[i % values.length] as string,
      ),
    );
    await page.waitForTimeout(400); // what is deferred has its time
  }
  await browser.close();
  times.sort((a, b) => a - b);
  return { middle: times[times.length >> 1] as number, worst: times.at(-1) as number, machine };
}

const plan = fortyStages();
const address = `${base}/lines/${await put(plan)}/line?stage=${plan.stages[2]?.id}`;
console.log(`${allStages(plan).length} stages, ${plan.branches.length} branches, CPU slowed ${SLOWED} times`);
const closed = await measure(address, 'Approach to the air it draws', ['11', '12.5', '9', '14']);
const dairy = dairyPlan();
const atDairy = `${base}/lines/${await put(dairy)}/line?stage=cooler-1`;
const plant = await measure(atDairy, 'Approach to the air it draws', ['11', '12.5', '9', '14']);
const lanes = plan.branches.map((b) => b.id).join(',');
const open = await measure(`${address}&lanes=${lanes}`, 'Approach to the air it draws', ['11', '12.5', '9', '14']);
for (const [what, { middle, worst, machine }] of Object.entries({
  'lanes of branches closed': closed,
  'all lanes open': open,
  'the dairy, with its ring': plant,
}))
  console.log(
    `${what.padEnd(26)} within its budget of ${BUDGET_MS} ms ${(BUDGET_MS / middle).toFixed(1).padStart(5)} × (middle ${middle.toFixed(0)} ms, worst ${worst.toFixed(0)} ms; square roots ${machine.toFixed(0)} ms)`,
  );
