import { METRIC, US_CUSTOMARY } from '@/core/quantity/units';
import { inOtherUnits, startSchema, typicalStart } from './start-form-schema';

const fields = (form: object): string[] =>
  (startSchema(METRIC).safeParse({ ...typicalStart(METRIC), ...form }).error?.issues ?? []).map((i) =>
    String(i.path[0]),
  );

test('typical values pass in both sets of units, and are round in each', () => {
  expect(startSchema(METRIC).parse(typicalStart(METRIC)).compressor.cutInPa).toBeCloseTo(751325, 0);
  expect(typicalStart(US_CUSTOMARY)).toMatchObject({ intakeTemperatureC: '80', cutInPa: '95', receiverVolumeM3: '60' });
  expect(startSchema(US_CUSTOMARY).parse(typicalStart(US_CUSTOMARY)).receiverVolumeM3).toBeCloseTo(0.2271, 4);
});

test('each field is refused by itself, all of them at once', () => {
  const bad = {
    shop: ' ',
    intakeTemperatureC: 'warm',
    intakeRelativeHumidity: '140',
    freeAirDeliveryM3PerS: '',
    receiverVolumeM3: '-1',
  };
  expect(fields(bad)).toEqual(expect.arrayContaining(Object.keys(bad)));
});

test('cut-in and cut-out are judged together: either corrected, neither is wrong any more', () => {
  expect(fields({ cutInPa: '9' })).toEqual(['cutInPa', 'cutOutPa']);
  expect(fields({ cutInPa: '9', cutOutPa: '10' })).toEqual([]);
});

test('what was typed goes along to other units; what cannot be read stays', () => {
  expect(inOtherUnits('27', 'intakeTemperatureC', METRIC, US_CUSTOMARY)).toBe('80.6');
  expect(inOtherUnits('warm', 'intakeTemperatureC', METRIC, US_CUSTOMARY)).toBe('warm');
});
