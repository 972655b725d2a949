type Json = Record<string, unknown>;
const isObject = (value: unknown): value is Json =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

const HALF_BAND_PA = 103_421; // 15 psi, the usual half band of a small compressor (common practice)
const LEAST_PA = 1.2e5;

/** One working pressure became the band of the pressure switch. */
function withBand(stage: unknown): unknown {
  if (!isObject(stage) || stage.kind !== 'compressor' || !isObject(stage.parameters)) return stage;
  const { dischargePressurePa: middle, ...rest } = stage.parameters;
  if (typeof middle !== 'number' || middle <= LEAST_PA || 'cutInPa' in rest) return stage;
  const half = Math.min(HALF_BAND_PA, (middle - LEAST_PA) / 2);
  return { ...stage, parameters: { ...rest, cutInPa: middle - half, cutOutPa: middle + half } };
}

/** A hose was a loss that somebody entered; now it is worked out from its bore. */
function withBore(stage: unknown): unknown {
  if (!isObject(stage) || !['hose', 'hose-reel'].includes(String(stage.kind)) || !isObject(stage.parameters))
    return stage;
  const { pressureLossPa: _, ...parameters } = stage.parameters;
  return { ...stage, parameters };
}

/** Dryers by rating had a separator of their own: their rated dew point includes it. */
function withoutSeparator(stage: unknown): unknown {
  if (!isObject(stage) || !['cycling-dryer', 'high-inlet-dryer'].includes(String(stage.kind))) return stage;
  if (!isObject(stage.parameters)) return stage;
  const { separatorEfficiency: _, ...parameters } = stage.parameters;
  if (!isObject(stage.known)) return { ...stage, parameters };
  const { separatorEfficiency: __, ...known } = stage.known;
  return { ...stage, parameters, known };
}

/** Flows of jobs were free air. */
function withFreeAir(stage: unknown): unknown {
  if (!isObject(stage) || stage.kind !== 'outlet' || !isObject(stage.parameters)) return stage;
  return 'flowBasis' in stage.parameters
    ? stage
    : { ...stage, parameters: { ...stage.parameters, flowBasis: 'inlet' } };
}

/** A check filter and a planned stage had other names. */
function withTodaysNames(stage: unknown): unknown {
  if (!isObject(stage)) return stage;
  const { witness, provided, ...rest } = stage;
  return {
    ...rest,
    ...(witness !== undefined && { checkFilter: witness }),
    ...(provided !== undefined && { planned: provided }),
  };
}

/** The value for a line that is depressurised overnight had another name. */
function withOvernight(survey: unknown): unknown {
  if (!isObject(survey) || !isObject(survey.working) || survey.working.overnight !== 'let-down') return survey;
  return { ...survey, working: { ...survey.working, overnight: 'depressurised' } };
}

/** A plan document of an earlier program as today's would have written it; anything else as it is, for the schema to judge. */
export function upgradePlan(document: unknown): unknown {
  if (!isObject(document)) return document;
  const runs = (stages: unknown): unknown =>
    Array.isArray(stages)
      ? stages.map((s) => withTodaysNames(withFreeAir(withoutSeparator(withBore(withBand(s))))))
      : stages;
  const branches = Array.isArray(document.branches)
    ? document.branches.map((b) => (isObject(b) ? { ...b, stages: runs(b.stages) } : b))
    : document.branches;
  const { setAside, ...rest } = document; // the name of `dismissed` then
  return {
    ...rest,
    ...(setAside !== undefined && { dismissed: setAside }),
    ...('survey' in document && { survey: withOvernight(document.survey) }),
    stages: runs(document.stages),
    ...('branches' in document && { branches }),
  };
}
