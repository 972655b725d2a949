import { atmosphericPressurePa } from '../air/atmosphere';
import { vapourFractionFromRelativeHumidity } from '../air/humidity';
import { checksOf, expectCheck } from '../test/reference';
import { dryAirDensityKgPerM3, dryAirKgPerS, type FlowBasis, volumeFlowM3PerS } from './flow-basis';

const CFM = 0.3048 ** 3 / 60;
const density = (pressurePa: number, temperatureC: number, relativeHumidity: number): number =>
  dryAirDensityKgPerM3(
    pressurePa,
    temperatureC,
    vapourFractionFromRelativeHumidity(relativeHumidity, temperatureC, pressurePa, 'ideal'),
  );
const convert = (flow: number, from: FlowBasis, to: FlowBasis, inletDensity = Number.NaN): number =>
  volumeFlowM3PerS(dryAirKgPerS(flow, from, inletDensity), to, inletDensity);
const byId = (id: string) => {
  const check = checksOf(10).find((c) => c.id === id);
  if (!check) throw new Error(id);
  return check;
};

// All: computed from equal dry-air mass.
describe('flow bases', () => {
  test('scfm at 14.5 psia and 68 °F to scfm at 14.696 psia and 60 °F (G10-01), on to normal m³/h (G10-03)', () => {
    expectCheck(convert(100, 'standard-14.5psia-68F', 'standard-14.7psia-60F'), byId('G10-01-scfm_to_scfm60'), 'value');
    expectCheck(convert(100 * CFM, 'standard-14.7psia-60F', 'normal') * 3600, byId('G10-03-scfm60_to_Nm3h'), 'value');
  });

  test('ANR counts moist air: 1000 m³/h are 905.6 normal m³/h, not 919.6 (G10-05, pitfall 2)', () => {
    expectCheck(convert(1000, 'anr', 'normal'), byId('G10-05-ANR_to_Nm3h'), 'value');
  });

  test.each(checksOf(10).filter((c) => 'icfm' in c.expected))(
    '$id: standard flow at the inlet (pitfall 1)',
    (check) => {
      const atmospherePa = atmosphericPressurePa(check.inputs.altitude_m as number);
      const temperatureC = ((check.inputs.intake_T_F as number) - 32) / 1.8;
      const inlet = density(atmospherePa, temperatureC, (check.inputs.intake_RH_percent as number) / 100);
      expectCheck(atmospherePa / 6894.757, check, 'p_atm_psia');
      expectCheck(convert(100, 'standard-14.5psia-68F', 'inlet', inlet), check, 'icfm');
    },
  );

  test('actual flow in the line (G10-11)', () => {
    const inLine = density(101325 + 689475.7, 37.7778, 0);
    expectCheck(convert(100, 'standard-14.5psia-68F', 'inlet', inLine), byId('G10-11-acfm_line100'), 'acfm_at_line');
  });

  test('pitfall 14: 10 m³/min at 35 °C and 90 % carry 652.9 kg/h of dry air, not 687.3 (computed)', () => {
    expect(density(101325, 35, 0.9) * 600).toBeCloseTo(652.9, 0);
  });
});
