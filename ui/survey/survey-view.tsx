'use client';

import { Plus } from 'lucide-react';
import type { ReactNode } from 'react';
import { kindOf } from '@/core/equipment/index';
import type { FieldMeta } from '@/core/equipment/shared/kind';
import { airBalance, explainFall } from '@/core/line/balance';
import { averageDemandM3PerS } from '@/core/network/demand';
import { insertStage, newStage, removeStage, renameStage, withSurvey } from '@/core/plan/edit';
import { allStages, standing } from '@/core/plan/runs';
import type { Survey } from '@/core/plan/survey';
import { surveySchema } from '@/core/plan/survey';
import { input } from '@/core/quantity/derivation';
import { ChoiceInput } from '@/ui/forms/choice-input';
import { JobChoice } from '@/ui/forms/job-choice';
import { QuantityInput } from '@/ui/forms/quantity-input';
import { StageForm } from '@/ui/forms/stage-form';
import { TextInput } from '@/ui/forms/text-input';
import { usePlan } from '@/ui/plan/plan-provider';
import { Cautions } from '@/ui/primitives/cautions';
import { useUnits } from '@/ui/units/units';
import { Why } from '@/ui/why/why';
import { Places } from './places';
import { SiteDetails } from './site-details';
import { WaterDrawnIn } from './water-drawn-in';
import { WorkingHours } from './working-hours';

const metaOf = (field: 'altitudeM' | 'barometerPa' | 'atmosphereFrom'): FieldMeta =>
  surveySchema.shape[field].meta() as unknown as FieldMeta;

/** What was measured and what is asked of the air: the ground that everything else stands on. */
export function SurveyView() {
  const { plan } = usePlan();
  const compressor = plan.stages[1];
  return (
    <div className="mx-auto grid max-w-[1240px] items-start gap-x-8 gap-y-4 p-4 lg:grid-cols-[1fr_21rem]">
      <h1 className="lg:col-span-2">Survey</h1>
      <aside className="lg:sticky lg:top-16 lg:col-start-2 lg:row-start-2" aria-label="Water drawn in">
        <WaterDrawnIn />
      </aside>
      <div className="grid gap-6 lg:col-start-1 lg:row-start-2">
        <Part title="Shop">
          <ShopFields />
        </Part>
        <Part
          title="Air at the intake"
          note="Measure within a hand’s breadth of the intake filter, out of the sun, not touching metal. A second place shows what moving the intake would cost or save."
        >
          <Places />
        </Part>
        {compressor && (
          <Part title="Compressor" note={kindOf('compressor').does}>
            <StageForm stage={compressor} />
            <Cautions ids={kindOf('compressor').cautions} />
          </Part>
        )}
        <Part
          title="Working hours"
          note="With the share of the time loaded they turn water per hour into water per day, and into what a drain should give."
        >
          <WorkingHours />
        </Part>
        <Part title="Site details" note="Details that no instrument shows. Advice depends on them.">
          <SiteDetails />
        </Part>
        <Part
          title="Jobs"
          note="What each job needs of the air. Every job is an outlet of the line; move it along the line on the Line page."
        >
          <Jobs />
        </Part>
      </div>
    </div>
  );
}

/** Names, and the pressure of the air at the place. */
function ShopFields() {
  const { plan, edit } = usePlan();
  const { survey } = plan;
  const set = (change: Partial<Survey>, key: string): undefined => {
    edit((p) => withSurvey(p, { ...p.survey, ...change }), key);
  };
  return (
    <div className="grid gap-x-4 gap-y-3 sm:grid-cols-2">
      <TextInput id="shop" label="Shop" value={survey.shop} most={80} onCommit={(shop) => set({ shop }, 'shop')} />
      <TextInput
        id="line-name"
        label="Line"
        value={plan.name}
        most={80}
        onCommit={(name) => edit((p) => ({ ...p, name }), 'name')}
      />
      <ChoiceInput
        id="atmosphere-from"
        label="Air pressure from"
        value={survey.atmosphereFrom}
        options={metaOf('atmosphereFrom').options ?? {}}
        onCommit={(v) => set({ atmosphereFrom: v as Survey['atmosphereFrom'] }, 'from')}
      />
      {survey.atmosphereFrom === 'altitude' ? (
        <QuantityInput
          id="altitude"
          label="Altitude"
          quantity="altitude"
          value={survey.altitudeM}
          min={metaOf('altitudeM').least}
          max={metaOf('altitudeM').most}
          help="Gauge readings stay as they are; the absolute pressures follow."
          onCommit={(altitudeM) => set({ altitudeM }, 'altitude')}
        />
      ) : (
        <QuantityInput
          id="barometer"
          label="Barometer at the place"
          quantity="barometer"
          value={survey.barometerPa}
          min={metaOf('barometerPa').least}
          max={metaOf('barometerPa').most}
          help={metaOf('barometerPa').help}
          onCommit={(barometerPa) => set({ barometerPa }, 'barometer')}
        />
      )}
    </div>
  );
}

/** Every outlet of the line, with what it asks of the air. */
function Jobs() {
  const { plan, edit } = usePlan();
  const jobs = allStages(plan).filter((s) => s.kind === 'outlet');
  return (
    <>
      <ul className="grid gap-4">
        {jobs.map((job) => (
          <li key={job.id} className="rounded-md border border-hairline bg-card p-3">
            <div className="mb-3 flex flex-wrap items-end gap-3">
              <div className="min-w-48 flex-1">
                <TextInput
                  id={`${job.id}-job`}
                  label="Job"
                  value={job.name}
                  most={60}
                  onCommit={(name) => edit((p) => renameStage(p, job.id, name), `${job.id}.name`)}
                />
              </div>
              <button type="button" className="button" onClick={() => edit((p) => removeStage(p, job.id))}>
                Remove
              </button>
            </div>
            <div className="mb-3">
              <JobChoice stageId={job.id} />
            </div>
            <StageForm stage={job} />
          </li>
        ))}
      </ul>
      <Demand />
      <div className="flex flex-wrap items-center gap-3">
        <button
          type="button"
          className="button"
          onClick={() =>
            edit((p) =>
              insertStage(p, newStage('outlet', crypto.randomUUID(), `Job ${jobs.length + 1}`), p.stages.length),
            )
          }
        >
          <Plus size={15} aria-hidden /> Add a job
        </button>
        <span className="text-[0.85rem] text-quiet">
          Breathing air is not a job for this tool: use a certified breathing-air system.
        </span>
      </div>
    </>
  );
}

function Part({ title, note, children }: { title: string; note?: string; children: ReactNode }) {
  return (
    <section className="grid gap-3 border-t border-hairline pt-3">
      <div>
        <h2>{title}</h2>
        {note && <p className="max-w-prose text-[0.88rem] text-quiet">{note}</p>}
      </div>
      {children}
    </section>
  );
}

/** What the jobs ask for together and what the line loses, compared with what the compressors deliver. */
function Demand() {
  const { plan, section } = usePlan();
  const { say } = useUnits();
  const balance = airBalance(plan, section);
  const { usedM3PerS: asked, deliveredM3PerS: given, lostM3PerS: lost, fallsToPa } = balance;
  const said = plan.survey.working.loadedShare;
  const apart = Math.abs((asked + lost) / given - said) > 0.15;
  return (
    <p>
      Together the jobs use{' '}
      <Why
        figure={() => ({
          title: 'Average use of air',
          quantity: 'volumeFlow',
          value: asked,
          formula: 'sum over the jobs of flow while in use · share of the time',
          inputs: allStages(standing(plan))
            .filter((s) => s.kind === 'outlet')
            .map((s) => input(s.name, 'volumeFlow', averageDemandM3PerS(s), 'its flow · its share of the time')),
          source: 'addition; flows of tools are typical unless measured',
        })}
        className="font-semibold"
      >
        {say(asked, 'volumeFlow')}
      </Why>{' '}
      on average, {say(asked / given, 'share')} of what the compressors deliver
      {lost > 0 && (
        <>
          ; purge, sweep, leaks and timed drains take another <strong>{say(lost, 'volumeFlow')}</strong>
        </>
      )}
      {fallsToPa !== undefined ? (
        <span className="text-brick">
          {' '}
          ▲ more than there is: the pressure falls to about{' '}
          <Why figure={() => explainFall(plan, balance)} className="font-semibold">
            {say(fallsToPa, 'pressure')}
          </Why>
          , and the compressor never stops.
        </span>
      ) : apart ? (
        <span className="text-amber"> ◆ not what the hours above say ({say(said, 'share')} loaded)</span>
      ) : (
        '.'
      )}
    </p>
  );
}
