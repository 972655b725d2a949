import { useState } from 'react';
import type { Asked, PracticeCase } from '@/core/practice/case';
import { type Answer, gradeAnswer } from '@/core/practice/grade';
import { useUnits } from '@/ui/units/units';
import { ChoiceAnswer, NumberAnswer, PickAnswer } from './answers';
import { Debrief } from './debrief';
import { OrderAnswer } from './order-answer';

/** A case with one answer: it is given once, and then explained. */
export function PlayAnswer({
  of,
  asked,
  onDone,
}: {
  of: PracticeCase;
  asked: Exclude<Asked, { form: 'find' }>;
  onDone: (score: number, ratio?: number) => void;
}) {
  const { say } = useUnits();
  const [answer, setAnswer] = useState<Answer>();
  const give = (given: Answer): void => {
    setAnswer(given);
    const ratio =
      given.form === 'number' && asked.form === 'number' && given.value > 0 ? given.value / asked.truth : undefined;
    onDone(gradeAnswer(of, given), ratio);
  };
  if (!answer)
    switch (asked.form) {
      case 'number':
        return <NumberAnswer quantity={asked.quantity} onAnswer={give} />;
      case 'choice':
        return <ChoiceAnswer options={asked.options} onAnswer={give} />;
      case 'order':
        return <OrderAnswer cards={asked.cards} budget={asked.budget} onAnswer={give} />;
      case 'pick':
        return <PickAnswer {...asked} onAnswer={give} />;
    }
  const names = (ids: readonly string[]): string => {
    const all =
      asked.form === 'order'
        ? asked.cards
        : asked.form === 'pick'
          ? asked.options.map((o) => ({ id: o.id, name: o.says }))
          : [];
    return ids.flatMap((id) => all.find((c) => c.id === id)?.name ?? []).join(asked.form === 'order' ? ' → ' : '; ');
  };
  return (
    <Debrief of={of} score={gradeAnswer(of, answer)}>
      {answer.form === 'number' && asked.form === 'number' && (
        <p>
          You said {say(answer.value, asked.quantity)}; it is <strong>{say(asked.truth, asked.quantity)}</strong>
          {asked.never ? `, and never ${asked.never}.` : '.'}
        </p>
      )}
      {answer.form === 'choice' && asked.form === 'choice' && (
        <p>
          You said: {asked.options[answer.index]}. Right is: <strong>{asked.options[asked.right]}</strong>.
        </p>
      )}
      {(answer.form === 'order' || answer.form === 'pick') && (asked.form === 'order' || asked.form === 'pick') && (
        <>
          <p>You said: {names(answer.ids) || 'nothing'}.</p>
          <p>
            Best is: <strong>{names(asked.best)}</strong>.
          </p>
        </>
      )}
    </Debrief>
  );
}
