import { type Answered, askInTurn } from './ask-in-turn';

/** A worker whose answers come when the test says so. */
function slow() {
  const asked: string[] = [];
  const ends: ((answer: string | Error) => void)[] = [];
  const told: Answered<string, string>[] = [];
  const put = askInTurn(
    (question: string) =>
      new Promise<string>((resolve, reject) => {
        asked.push(question);
        ends.push((answer) => (answer instanceof Error ? reject(answer) : resolve(answer)));
      }),
    (answered) => told.push(answered),
  );
  const end = async (answer: string | Error) => {
    ends.shift()?.(answer);
    await new Promise((then) => setTimeout(then));
  };
  return { asked, told, put, end };
}

test('of the questions that come while one is under way, only the last is asked', async () => {
  const { asked, told, put, end } = slow();
  for (const question of ['a', 'b', 'c']) void put(question);
  expect(asked).toEqual(['a']);
  await end('A');
  expect(asked).toEqual(['a', 'c']);
  await end('C');
  expect(told).toEqual([
    { question: 'a', answer: 'A' },
    { question: 'c', answer: 'C' },
  ]);
});

test('a question that fails says why, and the next is asked', async () => {
  const { told, put, end } = slow();
  void put('a');
  void put('b');
  await end(new Error('It is out of range.'));
  await end('B');
  expect(told).toEqual([
    { question: 'a', problem: 'It is out of range.' },
    { question: 'b', answer: 'B' },
  ]);
});
