import { type CheckName, checkKind } from '@/core/diagnosis/finding/checks';
import { useUnits } from './units';

/** Says what a check reads: in the person’s units, or of a look yes or no. */
export function useSayCheck(): (value: number, of: CheckName) => string {
  const { say } = useUnits();
  return (value, of) => {
    const { quantity } = checkKind(of);
    return quantity === 'look' ? (value > 0.5 ? 'yes' : 'no') : say(value, quantity);
  };
}
