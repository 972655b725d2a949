'use client';

import { createContext, type ReactNode, useCallback, useContext, useMemo, useState } from 'react';
import { SEA_LEVEL_PA } from '@/core/air/atmosphere';
import { YEAR_S } from '@/core/quantity/constants';
import { type Formatted, formatQuantity, numberFor, say } from '@/core/quantity/format';
import type { QuantityName, UnitChoice } from '@/core/quantity/units';

interface Units {
  readonly choice: UnitChoice;
  readonly setChoice: (choice: UnitChoice) => void;
  readonly atmosphericPa: number;
  readonly format: (si: number, quantity: QuantityName) => Formatted;
  readonly say: (si: number, quantity: QuantityName) => string;
  /** A number without a unit; as core/quantity/format.ts has it. */
  readonly number: (value: number, decimals?: number, figures?: number) => string;
}

const UnitsContext = createContext<Units | undefined>(undefined);

/** The person's own units, kept in a cookie so that the first page the server sends is in them already. */
export function UnitsProvider({ initial, children }: { initial: UnitChoice; children: ReactNode }) {
  const [choice, setState] = useState(initial);
  const setChoice = useCallback((next: UnitChoice) => {
    setState(next);
    // biome-ignore lint/suspicious/noDocumentCookie: the Cookie Store API is not in every browser yet
    document.cookie = `units=${encodeURIComponent(JSON.stringify(next))};path=/;max-age=${YEAR_S};samesite=lax`;
  }, []);
  return (
    <Provide choice={choice} setChoice={setChoice} atmosphericPa={SEA_LEVEL_PA}>
      {children}
    </Provide>
  );
}

/** Gauge pressures below this point are read against the barometer of the shop. */
export function AtmosphereProvider({ atmosphericPa, children }: { atmosphericPa: number; children: ReactNode }) {
  const { choice, setChoice } = useUnits();
  return (
    <Provide choice={choice} setChoice={setChoice} atmosphericPa={atmosphericPa}>
      {children}
    </Provide>
  );
}

function Provide({
  children,
  choice,
  setChoice,
  atmosphericPa,
}: Pick<Units, 'choice' | 'setChoice' | 'atmosphericPa'> & { children: ReactNode }) {
  const value = useMemo<Units>(
    () => ({
      choice,
      setChoice,
      atmosphericPa,
      format: (si, quantity) => formatQuantity(si, quantity, choice, atmosphericPa),
      say: (si, quantity) => say(si, quantity, choice, atmosphericPa),
      number: (value, decimals, figures) => numberFor(value, choice, decimals, figures),
    }),
    [choice, setChoice, atmosphericPa],
  );
  return <UnitsContext value={value}>{children}</UnitsContext>;
}

export function useUnits(): Units {
  const units = useContext(UnitsContext);
  if (!units) throw new Error('useUnits outside UnitsProvider');
  return units;
}

/** A number with its unit, the unit set smaller. */
export function Amount({ si, quantity, className }: { si: number; quantity: QuantityName; className?: string }) {
  const { number, unit } = useUnits().format(si, quantity);
  return (
    <span className={`whitespace-nowrap ${className ?? ''}`}>
      {number} <span className="unit">{unit}</span>
    </span>
  );
}

/** A number without a unit. */
export const Plain = ({ value, decimals, figures }: { value: number; decimals?: number; figures?: number }) =>
  useUnits().number(value, decimals, figures);
