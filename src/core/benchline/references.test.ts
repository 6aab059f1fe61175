import { benchProblemText, describeRecord, understand, type BenchContext, type BenchRecord } from '.';
import { readReferences } from './references';

const context: BenchContext = {
  parts: [
    { ref: 'Q1', kind: 'nmos' },
    { ref: 'RP1', kind: 'potentiometer' },
  ],
  stores: [],
};

test.each`
  word           | refs                     | why
  ${'q1'}        | ${['Q1']}                | ${'one'}
  ${'CX2'}       | ${['CX2']}               | ${'two letters'}
  ${'r12a'}      | ${['R12A']}              | ${'a letter behind'}
  ${'c11..c13'}  | ${['C11', 'C12', 'C13']} | ${'a range'}
  ${'c11..13'}   | ${['C11', 'C12', 'C13']} | ${'the letter once'}
  ${'c11-c13'}   | ${['C11', 'C12', 'C13']} | ${'a dash'}
  ${'c11…c13'}   | ${['C11', 'C12', 'C13']} | ${'three dots in one'}
  ${'c1,c4'}     | ${['C1', 'C4']}          | ${'a list'}
  ${'c1,c4,'}    | ${['C1', 'C4']}          | ${'a comma too many'}
  ${'r1..r2,r7'} | ${['R1', 'R2', 'R7']}    | ${'both'}
  ${'d3..d3'}    | ${['D3']}                | ${'a range of one'}
  ${'c1,c1'}     | ${['C1']}                | ${'the same twice'}
  ${'u1,q2,d3'}  | ${['U1', 'Q2', 'D3']}    | ${'different letters'}
  ${'hello'}     | ${undefined}             | ${'a word'}
  ${'12'}        | ${undefined}             | ${'a number'}
  ${''}          | ${undefined}             | ${'nothing'}
  ${'vbus'}      | ${undefined}             | ${'a store'}
`('“$word” names $refs ($why)', ({ word, refs }) => {
  expect(readReferences(word)).toEqual(refs);
});

test.each`
  word         | names             | why
  ${'c9..c2'}  | ${'upwards'}      | ${'backwards'}
  ${'c1..r4'}  | ${'same letters'} | ${'two letters'}
  ${'c1..cc'}  | ${'does not end'} | ${'no number'}
  ${'c1..'}    | ${'does not end'} | ${'cut off'}
  ${'c1..c99'} | ${'at most 60'}   | ${'too many'}
  ${'c1,,r..'} | ${'no reference'} | ${'half a reference'}
`('“$word” is refused: $why', ({ word, names }) => {
  const outcome = readReferences(word);
  expect(outcome && 'problem' in outcome ? benchProblemText(outcome.problem) : '').toContain(names);
});

describe('a record in plain words', () => {
  const words = (record: BenchRecord) => describeRecord(record).replace(/\u00a0/g, ' ');
  const part = { kind: 'part', ref: 'C1', partKind: 'capacitor', fitments: [], damage: [], ratings: [] } as const;
  test.each`
    record                                                                       | message
    ${part}                                                                      | ${'C1 is a capacitor'}
    ${{ ...part, partKind: 'igbt' }}                                             | ${'C1 is an IGBT'}
    ${{ ...part, subtype: 'polymer', package: 'radial' }}                        | ${'C1 is a capacitor (polymer), radial'}
    ${{ ...part, block: 'pfc', duty: 'clamp' }}                                  | ${'C1 is a capacitor, clamp across the primary, in the PFC block'}
    ${{ ...part, fitments: ['unpopulated', 'reworked'] }}                        | ${'C1 is an empty footprint of a capacitor, soldered again'}
    ${{ ...part, others: ['C2', 'C3'], damage: ['bulged'] }}                     | ${'3 parts, C1 to C3, are each a capacitor, bulged'}
    ${{ ...part, others: ['C4'] }}                                               | ${'2 parts, C1, C4, are each a capacitor'}
    ${{ ...part, like: 'C9', marking: '104', dateCode: '2148' }}                 | ${'C1 is a capacitor, like C9, marked 104, dated 2148'}
    ${{ kind: 'claim', ref: 'Q1', text: 'was changed' }}                         | ${'claim on Q1: was changed'}
    ${{ kind: 'claim', text: 'it is a flyback' }}                                | ${'claim: it is a flyback'}
    ${{ kind: 'note', question: true, ref: 'U1', text: 'who made it' }}          | ${'question on U1: who made it'}
    ${{ kind: 'status', ref: 'Q1', status: 'settled', because: '' }}             | ${'Q1: what was claimed or asked is settled'}
    ${{ kind: 'status', ref: 'Q1', status: 'superseded', because: 'it is not' }} | ${'Q1: what was claimed or asked is superseded, it is not'}
    ${{ kind: 'delete', ref: 'C5' }}                                             | ${'C5 is deleted from the log'}
    ${{ kind: 'rename', ref: 'C5', to: 'C6' }}                                   | ${'C5 is called C6'}
  `('$message', ({ record, message }) => {
    expect(words(record)).toBe(message);
  });
});

// Words that move a claim on, in the forms people write them.
test.each`
  line                         | status
  ${'support rp1 it moves'}    | ${'supported'}
  ${'supports rp1'}            | ${'supported'}
  ${'supersede rp1 it is R12'} | ${'superseded'}
  ${'settle rp1'}              | ${'settled'}
  ${'SETTLED RP1 done'}        | ${'settled'}
`('“$line” makes it $status', ({ line, status }) => {
  expect(understand(line, context)).toMatchObject({ ok: true, records: [{ kind: 'status', ref: 'RP1', status }] });
});

test.each`
  line                               | changes
  ${'q1 npn'}                        | ${['Q1 is logged already: it was an N-FET and becomes an NPN.']}
  ${'r4 resistor 470R 1206'}         | ${['R4 is logged already: case axial becomes 1206, resistance 4.7 kΩ becomes 470 Ω.']}
  ${'r4 resistor 4700R standby'}     | ${[]}
  ${'r3..r5 4k7; q9 nmos'}           | ${[]}
  ${'r3..r5 10k'}                    | ${['R4 is logged already: resistance 4.7 kΩ becomes 10 kΩ.']}
  ${'q1 measures d-s 0.4; r4 burnt'} | ${[]}
`('“$line” tells what it changes: $changes', ({ line, changes }) => {
  const known: BenchContext = {
    parts: [
      { ref: 'Q1', kind: 'nmos' },
      { ref: 'R4', kind: 'resistor', package: 'axial', ratings: { resistance: 4700 } },
    ],
    stores: [],
  };
  const read = understand(line, known);
  expect(read.ok && read.changes.map((text) => text.replace(/\u00a0/g, ' '))).toEqual(changes);
});

test.each([
  ['f1.1 - f1.2', true],
  ['f1 pin 1 beeps with f1 pin 2', true],
  ['r4.1 - f1.1 - f1.2', true],
  ['f1.1 ~ f1.2 0.1R', false],
  ['f1.1 x f1.2', false],
  ['r4.1 - f1.1', false],
])('%s: both ends of a fuse joined is asked about: %s', (line, asks) => {
  const read = understand(line, {
    parts: [
      { ref: 'F1', kind: 'fuse' },
      { ref: 'R4', kind: 'resistor' },
    ],
    stores: [],
  });
  expect(!read.ok && read.problem.kind === 'unclear').toBe(asks);
  if (!read.ok) expect(benchProblemText(read.problem)).toMatch(/whole fuse, no joint/);
});

test.each([
  ['q1 on hs1', 'HS1 is a heat sink, by its letters; Q1 sits on heat sink HS1'],
  ['q1, d5 on hs2', 'Q1, D5 sit on heat sink HS2'],
  ['hs2 carries q1, d5', 'Q1, D5 sit on heat sink HS2'],
  ['q1 and d5 are both screwed to heat sink hs2', 'Q1, D5 sit on heat sink HS2, screwed'],
  ['Q1 auf Kühlkörper HS2', 'Q1 sits on heat sink HS2'],
  ['d6 clipped to hs2', 'refused: no-part'],
  ['q7 nmos to-220 on hs2', 'Q7 is an N-FET, in TO-220; Q7 sits on heat sink HS2'],
  ['q1 drain on hs2', 'refused: word-unknown'],
])('“%s”: what sits on a heat sink: %s', (line, says) => {
  const parts = [
    { ref: 'Q1', kind: 'nmos' },
    { ref: 'D5', kind: 'diode' },
    { ref: 'HS2', kind: 'heat-sink' },
  ] as const;
  const read = understand(line, { parts, stores: [] });
  expect(read.ok ? read.message.replace(/\u00a0/g, ' ') : `refused: ${read.problem.kind}`).toBe(says);
});
