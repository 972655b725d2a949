import { portsOf } from '@/core/fitting/ports';
import { endInWords } from '@/core/piping/ends';
import type { Fit } from '@/core/plan/fit-fields';
import type { Stage } from '@/core/plan/plan';
import { EndChoice } from '@/ui/fitting/joints/end-choice';
import { usePlan } from '@/ui/plan/plan-provider';

const SAYS = { in: 'Inlet', out: 'Outlet', drain: 'Drain' } as const;

/** The ports of the thing in hand: usual for its kind until somebody looks. */
export function Ports({ stage, onFit }: { stage: Stage; onFit: (fit: Fit) => void }) {
  const { plan, section } = usePlan();
  const ports = portsOf(plan, section, stage);
  return (
    <section aria-label="Ports" className="grid max-w-2xl gap-3">
      <h3 className="font-semibold">Ports</h3>
      {(['in', 'out', 'drain'] as const).map((at) => {
        const end = ports[at];
        return (
          end && (
            <EndChoice
              key={at}
              label={SAYS[at]}
              end={end}
              said={ports.said[at]}
              onEnd={(said) => {
                const { [at]: _, ...rest } = stage.fit ?? {};
                onFit(said ? { ...rest, [at]: said } : rest);
              }}
            />
          )
        );
      })}
      {ports.gauges[0] && (
        <p className="text-quiet">
          {ports.gauges.length} for gauges, usually {endInWords(ports.gauges[0])}.
        </p>
      )}
    </section>
  );
}
