'use client';

import { useMemo, useState } from 'react';
import { Finding, type Reading } from '@/core/diagnosis/finding/belief';
import { type Complaint, SHOWS } from '@/core/diagnosis/finding/shows';
import { symptomById } from '@/core/diagnosis/symptoms';
import { stageById } from '@/core/plan/runs';
import { usePlan } from '@/ui/plan/plan-provider';
import { Beliefs } from './beliefs';
import { ChooseComplaint } from './choose-complaint';
import { DoneReadings } from './done-readings';
import { FixedCauses } from './fixed-causes';
import { Found } from './found';
import { NextChecks } from './next-checks';

/** From a complaint to its cause: what is believed, and the checks that tell most for their time. */
export function FindView({ complaint }: { complaint: Complaint | undefined }) {
  const symptom = symptomById(complaint?.symptom ?? null);
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] gap-4 p-4">
      <h1>Find the fault</h1>
      {!complaint || !symptom ? (
        <ChooseComplaint />
      ) : symptom.id in SHOWS ? (
        <Search complaint={complaint} />
      ) : (
        <FixedCauses symptom={symptom} />
      )}
    </div>
  );
}

function Search({ complaint }: { complaint: Complaint }) {
  const { plan } = usePlan();
  const finding = useMemo(() => new Finding(plan, complaint), [plan, complaint]);
  const [readings, setReadings] = useState<readonly Reading[]>([]);
  const [cannot, setCannot] = useState<readonly string[]>([]);
  const believed = useMemo(() => finding.believe(readings), [finding, readings]);
  const next = useMemo(() => finding.nextChecks(readings, cannot), [finding, readings, cannot]);
  const at = stageById(plan, complaint.stageId ?? '');
  return (
    <>
      <p className="text-[1.05rem]">
        <strong>{symptomById(complaint.symptom)?.says}</strong>
        {at && <span className="text-quiet"> · {at.name}</span>}
      </p>
      <div className="grid items-start gap-6 lg:grid-cols-[minmax(0,1fr)_minmax(0,1.2fr)]">
        <div className="grid gap-4">
          <Beliefs believed={believed} />
          <DoneReadings
            checks={finding.checks}
            readings={readings}
            onRemove={(id) => setReadings(readings.filter((r) => r.checkId !== id))}
          />
        </div>
        <div className="grid gap-4">
          <Found finding={finding} {...{ complaint, believed, readings, next }} />
          <NextChecks
            finding={finding}
            {...{ next, believed }}
            onRead={(reading) => setReadings([...readings, reading])}
            onCannot={(id) => setCannot([...cannot, id])}
          />
          {cannot.length > 0 && (
            <p>
              <button type="button" className="button" onClick={() => setCannot([])}>
                Show again what could not be done
              </button>
            </p>
          )}
        </div>
      </div>
    </>
  );
}
