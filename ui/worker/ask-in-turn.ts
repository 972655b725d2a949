/** What came of a question: the answer, or why there is none. */
export interface Answered<Q, A> {
  readonly question: Q;
  readonly answer?: A;
  readonly problem?: string;
}

/**
 * Asks one question at a time. Of those that come while one is under way only the last is asked, when that one is done:
 * while somebody drags, no work piles up.
 */
export function askInTurn<Q, A>(
  ask: (question: Q) => Promise<A>,
  tell: (answered: Answered<Q, A>) => void,
): (question: Q) => Promise<void> {
  let underWay = false;
  let waiting: { readonly question: Q } | undefined;
  return async (first) => {
    waiting = { question: first };
    if (underWay) return;
    underWay = true;
    while (waiting) {
      const { question }: { readonly question: Q } = waiting;
      waiting = undefined;
      try {
        tell({ question, answer: await ask(question) });
      } catch (error) {
        tell({ question, problem: error instanceof Error ? error.message : 'Not calculated.' });
      }
    }
    underWay = false;
  };
}
