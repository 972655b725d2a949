/** The least time of several rounds, ms: what the machine can do while its neighbours are quiet. Short jobs are done several times a round. */
export function bestMs(job: () => void, rounds = 9, times = 1): number {
  let best = Number.POSITIVE_INFINITY;
  for (let i = 0; i < rounds; i++) {
    const start = performance.now();
    for (let n = 0; n < times; n++) job();
    best = Math.min(best, (performance.now() - start) / times);
  }
  return best;
}
