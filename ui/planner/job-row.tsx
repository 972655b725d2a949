import { X } from 'lucide-react';
import { JOBS, type JobId } from '@/core/plan/jobs';
import { type QuestionJob, questionJob } from '@/core/planner/question';
import { ChoiceInput } from '@/ui/forms/choice-input';
import { Ask, Choose, JOB_SHAPE, PAIR } from './ask-question';

/** One of the jobs, with the numbers of its kind folded away. */
export function JobRow({
  at,
  job,
  onJob,
  onRemove,
}: {
  at: number;
  job: QuestionJob;
  onJob: (job: QuestionJob) => void;
  onRemove?: () => void;
}) {
  const id = `job-${at + 1}`;
  const ask = (field: keyof QuestionJob & string) => (
    <Ask
      shape={JOB_SHAPE}
      field={field}
      id={`${id}-${field}`}
      value={job[field] as number}
      onValue={(value) => onJob({ ...job, [field]: value })}
    />
  );
  const choose = (field: keyof QuestionJob & string) => (
    <Choose
      shape={JOB_SHAPE}
      field={field}
      id={`${id}-${field}`}
      value={job[field] as string}
      onValue={(value) => onJob({ ...job, [field]: value })}
    />
  );
  const { need } = job;
  const options = Object.fromEntries(Object.entries(JOBS).map(([key, { label }]) => [key, label]));
  const { distanceM, roomC, coldestC, isCold } = job;
  return (
    <li className="grid gap-2 border-t border-hairline pt-3 first:border-0 first:pt-0">
      <div className="flex items-end gap-2">
        <div className="min-w-0 flex-1">
          <ChoiceInput
            id={id}
            label={`Job ${at + 1}`}
            value={job.job}
            options={options}
            onCommit={(kind) => onJob(questionJob(kind as JobId, { distanceM, roomC, coldestC, isCold }))}
          />
        </div>
        {onRemove && (
          <button type="button" className="button" aria-label={`Remove job ${at + 1}`} onClick={onRemove}>
            <X size={16} aria-hidden />
          </button>
        )}
      </div>
      <details>
        <summary className="min-h-9 cursor-pointer py-1 text-[0.9rem] text-quiet">Air, flow, pressure, place</summary>
        <div className={`${PAIR} pt-1`}>
          <div className="col-span-2">{choose('need')}</div>
          {need === 'dew-point' && ask('dewPointC')}
          {(need === 'humidity-expanded' || need === 'humidity-in-line') && ask('relativeHumidity')}
          {need === 'iso-class' && choose('waterClass')}
          {choose('particleClass')}
          {choose('oilClass')}
          {ask('flowM3PerS')}
          {ask('leastGaugePa')}
          {ask('usedShare')}
          {ask('distanceM')}
          {ask('roomC')}
          {ask('coldestC')}
          {choose('isCold')}
        </div>
      </details>
    </li>
  );
}
