import { CAUSE_NAMES, type CauseName } from '.';
import { weighSpoken } from './spoken';

/** What words do to causes: those they make likelier, and those they take from. */
function heard(
  told: string,
  circuits = 'flyback',
): { readonly up: readonly CauseName[]; readonly down: readonly CauseName[] } {
  const up: CauseName[] = [];
  const down: CauseName[] = [];
  weighSpoken([told], circuits, (name, factor) => void (factor > 1 ? up : down).push(name));
  return { up, down };
}

// What people call a part, and how they say that it is sick or well; common practice, no source.
test.each<[string, string, CauseName | undefined, CauseName | undefined]>([
  ['the chip has a pit in its back', 'flyback', 'controller-dead', undefined],
  ['the pfc transistor measures good', 'boost-pfc flyback', undefined, 'pfc-switch-shorted'],
  ['tops of three cans like little cushions', 'flyback', 'output-capacitors-dry', undefined],
  ['the shunt under the transistor looks browned', 'flyback', 'sense-resistor-open', undefined],
  ['the big can is burst', 'flyback', 'bulk-shorted', undefined],
  ['a plastic box has cracks all over', 'flyback', 'x-capacitor-failed', undefined],
  ['blue disc in two halves', 'flyback', 'varistor-shorted', undefined],
  ['somebody turned the little screw until it clicked', 'boost', 'feedback-open', undefined],
  ['the transformer gets very hot', 'flyback', 'transformer-shorted-turns', undefined],
  ['the cable is frayed at the plug', 'flyback', 'cable-broken', undefined],
  ['the fan turns hard', 'flyback', 'fan-stuck', undefined],
  ['one of the leds is dead', 'flyback led', 'led-string-open', undefined],
  ['dull solder at the choke', 'flyback', 'solder-joint-cracked', undefined],
  ['the triac is burnt', 'phase-control', 'triac-shorted', undefined],
  ['with the boost transistor lifted the short is gone', 'boost-pfc llc', 'pfc-switch-shorted', undefined],
  ['freezer spray on the big can brings it back', 'flyback', 'bulk-dry', undefined],
  ['with the led strip disconnected the short is gone', 'flyback led', undefined, undefined],
  ['with the bridge lifted the leak is not gone', 'flyback', undefined, 'bridge-shorted'],
  ['freezer spray on the big can does not bring it back', 'flyback', undefined, undefined],
  ['hair dryer on the big can changes nothing', 'flyback', undefined, undefined],
  ['with the bridge taken out it is the same', 'flyback', undefined, 'bridge-shorted'],
  // By what stands beside it, by its type number, by two places between which it was read.
  ['the transistor beside the big coil is shorted', 'boost-pfc llc', 'pfc-switch-shorted', 'switch-shorted'],
  [
    'the small to-220 beside the little transformer beeps',
    'half-bridge rcc-flyback',
    'standby-switch-shorted',
    'switch-shorted',
  ],
  ['kbp206 reads zero both ways', 'flyback', 'bridge-shorted', 'output-capacitors-dry'],
  ['mbr20100ct reads zero in both directions', 'flyback', 'output-rectifier-shorted', 'switch-shorted'],
  ['plus of the bridge to plus of the bulk beeps', 'boost-pfc llc', 'pfc-diode-shorted', 'bridge-shorted'],
  ['from the coil to the big can 0 ohm', 'boost-pfc llc', 'pfc-diode-shorted', 'bulk-shorted'],
  // A value and what it reads.
  ['the 470n reads 150n', 'capacitive-dropper', 'dropper-capacitor-faded', 'cable-broken'],
  ['0.22 ohm under the transistor reads 40 ohm', 'flyback', 'sense-resistor-open', 'switch-shorted'],
  ['big can reads 2 ohm with a leg lifted', 'flyback', 'bulk-shorted', 'switch-shorted'],
  // A new one was tried.
  ['replaced the tl431 and it is back at 12 v', 'flyback', 'reference-dead', undefined],
  ['opto changed already: no difference', 'flyback', undefined, 'optocoupler-dead'],
  ['the transistor was replaced and runs hot', 'flyback', undefined, 'switch-shorted'],
  ['the chip tries a short pulse', 'flyback', undefined, undefined],
  ['the resistor beside the chip is black', 'flyback', undefined, undefined],
  ['there is a black chip', 'flyback', undefined, undefined],
  ['the brown capacitor at the output', 'flyback', undefined, undefined],
  ['dust lies on the transformer', 'flyback', undefined, undefined],
  ['the fan is full of dust', 'forward fan', 'fan-stuck', undefined],
  ['the chip is black', 'flyback', 'controller-dead', undefined],
  ['the transistor is not shorted', 'flyback', undefined, undefined],
  // No such part in the circuit, nothing said of it, or the words turned round.
  ['the triac is burnt', 'flyback', undefined, undefined],
  ['the transistor sits on a sink', 'flyback', undefined, undefined],
  ['no crack in the transistor', 'flyback', undefined, undefined],
])('“%s” in a %s', (told, circuits, up, down) => {
  const { up: more, down: less } = heard(told, circuits);
  if (up) expect(more).toContain(up);
  else expect(more).toEqual([]);
  if (down) expect(less).toContain(down);
  else if (up) expect(less).not.toContain(up);
  else expect(less).toEqual([]);
});

test('the last word on a part counts, clause by clause', () => {
  const { up, down } = heard('the transistor was burnt; the transistor has been replaced');
  expect(up).not.toContain('switch-shorted');
  expect(down).toContain('switch-shorted');
  expect(new Set([...up, ...down]).size).toBeLessThan(CAUSE_NAMES.length);
});
