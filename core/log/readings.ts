/** What a reading of the log is of, and the quantity that it is read in. */
export const READINGS = {
  amount: { label: 'Came out', quantity: 'drained' },
  temperature: { label: 'Air temperature', quantity: 'temperature' },
  humidity: { label: 'Humidity in the line', quantity: 'share' },
  'dew-point': { label: 'Pressure dew point', quantity: 'temperature' },
  'pressure-drop': { label: 'Pressure drop', quantity: 'pressureDifference' },
  'pressure-static': { label: 'Pressure at rest', quantity: 'pressure' },
  'pressure-flowing': { label: 'Pressure in flow', quantity: 'pressure' },
  'cut-in': { label: 'Cuts in at', quantity: 'pressure' },
  'cut-out': { label: 'Cuts out at', quantity: 'pressure' },
  'pressure-from': { label: 'From a pressure of', quantity: 'pressure' },
  'pressure-to': { label: 'To a pressure of', quantity: 'pressure' },
  hours: { label: 'Hour meter', quantity: 'time' },
  seconds: { label: 'It took', quantity: 'duration' },
  flow: { label: 'Flow', quantity: 'volumeFlow' },
  weight: { label: 'Weight', quantity: 'mass' },
  'weight-wet': { label: 'Weight before drying', quantity: 'mass' },
  level: { label: 'Level, of full', quantity: 'share' },
  spent: { label: 'Exhausted, of its height', quantity: 'share' },
  oil: { label: 'Oil topped up', quantity: 'drained' },
  'oil-content': { label: 'Oil in the air', quantity: 'oilContent' },
} as const;
export type ReadingName = keyof typeof READINGS;
