'use client';

import { type ReactNode, useState } from 'react';
import { sayIn } from '@/core/advice/rule';
import { hottestOf } from '@/core/answers/conditions';
import { type Cope, type DryerDay, dryersOf, willDryerCope } from '@/core/answers/will-dryer-cope';
import { CHILLED, is } from '@/core/equipment/groups';
import type { Plan, Stage } from '@/core/plan/plan';
import { PLATE } from '@/core/sizing/size-refrigerated';
import { Cautions } from '@/ui/primitives/cautions';
import { InUnits } from '@/ui/units/in-units';
import { useUnits } from '@/ui/units/units';
import { AnswerFrame, NotThere, Verdict } from './answer-frame';
import { StageChoice } from './stage-choice';
import { AnswerTable } from './table';
import { useConditions } from './use-conditions';

const ratingOf = (s: Stage | undefined): number =>
  (s?.parameters as { ratedFlowM3PerS?: number } | undefined)?.ratedFlowM3PerS ?? 0.01;

export function HottestDay({ plan }: { plan: Plan }) {
  const dryers = dryersOf(plan);
  const [chosen, choose] = useState(dryers[0]?.id);
  const stage = dryers.find((s) => s.id === chosen);
  if (!stage)
    return <NotThere>No dryer stands in this line: its air leaves as wet as cooler and separator make it.</NotThere>;
  return (
    <OneDryer key={stage.id} plan={plan} stage={stage}>
      <StageChoice id="dryer" label="Dryer" stages={dryers} chosen={stage.id} onChoose={choose} />
    </OneDryer>
  );
}

function OneDryer({ plan, stage, children }: { plan: Plan; stage: Stage; children: ReactNode }) {
  const isChilled = is(CHILLED, stage.kind);
  const { conditions, q, ask } = useConditions(hottestOf(plan), { rated: ratingOf(stage) }, { rated: [1e-4, 2] });
  const cope = willDryerCope(plan, stage, conditions, isChilled ? q.rated : undefined);
  return (
    <AnswerFrame
      fields={
        <>
          {children}
          {ask('c', 'Intake, hottest day', 'temperature')}
          {ask('rh', 'its humidity', 'share')}
          {ask('room', 'Room, hottest day', 'temperature')}
          {isChilled && ask('rated', 'Rating on its plate', 'volumeFlow')}
        </>
      }
    >
      <Said cope={cope} />
      <Days cope={cope} />
      <Faults cope={cope} />
      {isChilled && <PlateNote />}
      <Cautions ids={isChilled ? ['C13', 'C14', 'C12'] : ['C07', 'C21']} />
    </AnswerFrame>
  );
}

function Said({ cope: { today, hottest, copes, neededM3PerS, refused } }: { cope: Cope }) {
  const { say } = useUnits();
  const larger = neededM3PerS !== undefined && `It takes a rating of ${say(neededM3PerS, 'volumeFlow')}.`;
  if (!hottest)
    return (
      <Verdict is="no" then={larger}>
        No: <InUnits text={refused ?? 'the air does not get there.'} />
      </Verdict>
    );
  const keeps = say(hottest.dewPointC, 'temperature');
  if (copes) return <Verdict is="yes">Yes: it keeps a dew point of {keeps}.</Verdict>;
  const isTooWet = hottest.dewPointC > hottest.wantedC;
  const notes = [
    today && today.dewPointC > today.wantedC && 'It does not keep what its jobs ask for today either.',
    (hottest.load ?? 0) > 1 && larger,
  ];
  return (
    <Verdict is="no" then={notes.filter(Boolean).join(' ')}>
      {isTooWet ? `No: its dew point is ${keeps} then.` : 'No: it is past its limits then.'}
    </Verdict>
  );
}

function Days({ cope: { today, hottest } }: { cope: Cope }) {
  const { say } = useUnits();
  const row = (id: string, name: string, value: (d: DryerDay) => string) => ({
    id,
    name,
    values: [today, hottest].map((d) => (d ? value(d) : '–')),
  });
  const hasLoad = today?.load !== undefined || hottest?.load !== undefined;
  return (
    <AnswerTable
      label="Today and on the hottest day"
      heads={['Day', 'As surveyed', 'Hottest']}
      rows={[
        row('in', 'Air that enters', (d) => say(d.inletC, 'temperature')),
        row('room', 'Room', (d) => say(d.roomC, 'temperature')),
        ...(hasLoad
          ? [row('load', 'Load, of what it can do', (d) => (d.load === undefined ? '–' : say(d.load, 'share')))]
          : []),
        row('dew', 'Pressure dew point', (d) => say(d.dewPointC, 'temperature')),
        row('asked', 'Its jobs ask for, at most', (d) => say(d.wantedC, 'temperature')),
      ]}
    />
  );
}

/** What the advice finds on that day and does not find today. */
function Faults({ cope }: { cope: Cope }) {
  const { say } = useUnits();
  return cope.faults.map((a) => (
    <p key={a.key}>
      <span className={a.rule.grade === 'must' ? 'text-brick' : 'text-amber'}>
        {a.rule.grade === 'must' ? '▲' : '◆'}
      </span>{' '}
      {sayIn(a.finding.what, say)} <span className="text-quiet">{a.rule.fix}</span>
    </p>
  ));
}

function PlateNote() {
  const { say } = useUnits();
  return (
    <p className="text-[0.85rem] text-quiet">
      Rating: at {say(PLATE.inletC, 'temperature')} in, {say(PLATE.gaugePa, 'pressureDifference')} and a room of{' '}
      {say(PLATE.roomC, 'temperature')}. The correction is generic; the maker’s curve takes precedence.
    </p>
  );
}
