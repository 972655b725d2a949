/** Hazards of the work, worded for the screen where they occur, and whose word counts. Common practice; standards recalled. */
export const CAUTIONS: Readonly<Record<string, { readonly text: string; readonly deferTo: string }>> = {
  C01: {
    text: 'A rusted or unmarked tank can burst and kill. If it is pitted, weeping, bulged or has no nameplate, stop using it.',
    deferTo: 'a pressure-equipment inspector',
  },
  C04: {
    text: 'Never plug, re-set or valve off a relief valve.',
    deferTo: 'the pressure-vessel code; a valve repairer',
  },
  C05: {
    text: 'Plastic water pipe shatters under air pressure. Take it out of service now.',
    deferTo: 'the authority for piping codes',
  },
  C06: {
    text: 'A part that was not made for compressed air is only as safe as its maker says. You are relying on its rating.',
    deferTo: 'its maker; a pressure-equipment engineer',
  },
  C07: {
    text: 'Lock out power, vent every section and prove zero pressure before you loosen anything.',
    deferTo: 'the site’s lock-out rules',
  },
  C08: { text: 'This machine starts without warning.', deferTo: 'the site’s lock-out rules' },
  C09: { text: 'Discharge pipe can pass {150 °C}. Let it cool or guard it.', deferTo: 'site safety' },
  C10: {
    text: 'Carbon and oil in a hot discharge line can burn. At high temperature shut down; do not just add cooling.',
    deferTo: 'a compressor engineer',
  },
  C11: { text: 'Guard on before power on: belts, flywheels and fans.', deferTo: 'local law on machine guards' },
  C12: { text: 'Mains and fixed wiring is electrician’s work.', deferTo: 'a licensed electrician' },
  C13: { text: 'Do not open the refrigerant circuit.', deferTo: 'a certified refrigeration technician' },
  C14: { text: 'Some dryers use flammable gas: no flames, ventilate, read the label.', deferTo: 'its maker' },
  C15: {
    text: 'Do not use this air for breathing. Filters do not remove carbon monoxide.',
    deferTo: 'a certified breathing-air system',
  },
  C17: { text: 'Never point air at skin or clothes.', deferTo: 'emergency services' },
  C19: { text: 'Restrain hoses; vent before uncoupling.', deferTo: 'site safety' },
  C20: { text: 'Draining is loud: ears and eyes covered, others warned, feet clear.', deferTo: 'local noise law' },
  C21: {
    text: 'Solvent, synthetic oil or heat cracks plastic bowls. Use a metal bowl or a guard.',
    deferTo: 'the bowl’s maker',
  },
  C22: {
    text: 'Only clean, oil-free beads; never in an oven for food; never unattended.',
    deferTo: 'the beads’ safety sheet',
  },
  C23: {
    text: 'Blue and pink beads contain cobalt: gloves, no dust, regulated waste.',
    deferTo: 'the beads’ safety sheet; the waste authority',
  },
  C24: { text: 'Dust of beads: mask and goggles; vacuum, do not blow.', deferTo: 'the beads’ safety sheet' },
  C25: {
    text: 'Salt and brine are corrosive and slippery. Goggles and gloves; drain only where it is permitted.',
    deferTo: 'the pellets’ safety sheet; the environment agency',
  },
  C26: {
    text: 'Oily beads can burn when heated. Find where the oil comes from before heating again.',
    deferTo: 'the dryer’s maker; the fire authority',
  },
  C27: {
    text: 'Do not pour oily condensate on the ground, into a storm drain or a septic tank. Separate and document it.',
    deferTo: 'the sewer or environment authority',
  },
  C31: { text: 'Sweep and purge may not be normal air. Ventilate the room.', deferTo: 'its maker' },
  C35: {
    text: 'A frozen drain can hold a plug that flies out. Thaw slowly, vented, without flame.',
    deferTo: 'site safety',
  },
  C36: {
    text: 'Never remove a plug from a pressurised tank, even partly. Open drains slowly.',
    deferTo: 'site safety',
  },
  C38: { text: 'Hot work away from solvents; vent the line first.', deferTo: 'the site’s hot-work permit' },
  C40: { text: 'Estimate only. Nameplate, manual and local law take precedence.', deferTo: 'the nameplate' },
};
