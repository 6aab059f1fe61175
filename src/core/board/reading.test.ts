import { findingOfReading, FIXED_ROLES, fixableAs, fixedWords, TOPOLOGY_WORDS } from '.';

// A meter beeps below some tens of ohms, but a join is a trace and two leads: below half an ohm. Common practice, no source.
test.each`
  a         | b         | quantity        | value    | finding
  ${'Q1.D'} | ${'T1.2'} | ${'continuity'} | ${0.12}  | ${{ relation: 'joined' }}
  ${'Q1.D'} | ${'T1.2'} | ${'continuity'} | ${1.2}   | ${{ relation: 'through', ohms: 1.2 }}
  ${'Q1.D'} | ${'T1.2'} | ${'continuity'} | ${null}  | ${{ relation: 'separate' }}
  ${'T1.7'} | ${'T1.9'} | ${'continuity'} | ${0.03}  | ${{ relation: 'through', ohms: 0.03 }}
  ${'D3.A'} | ${'D3.K'} | ${'diode'}      | ${0.541} | ${{ relation: 'through', drop: 0.541 }}
  ${'Q1.D'} | ${'T1.2'} | ${'diode'}      | ${0.001} | ${{ relation: 'joined' }}
  ${'D3.K'} | ${'D3.A'} | ${'diode'}      | ${null}  | ${{ relation: 'separate' }}
`('$quantity $value between $a and $b', ({ a, b, quantity, value, finding }) => {
  expect(findingOfReading(a, b, { quantity, value })).toEqual(finding);
});

test('a transformer may be the main magnetic part of any stage that has one, a choke of fewer, a FET of none', () => {
  expect(fixableAs('transformer')).toEqual(expect.arrayContaining(['flyback', 'sepic', 'line-transformer', 'nothing']));
  expect(fixableAs('transformer')).not.toContain('capacitive-dropper');
  expect(fixableAs('inductor')).toEqual(expect.arrayContaining(['buck', 'boost-pfc', 'output-choke']));
  expect(fixableAs('inductor')).not.toContain('flyback');
  expect(fixableAs('nmos')).toEqual(['switch', 'rectifier', 'nothing']);
  expect(fixableAs('resistor')).toEqual(['nothing']);
});

test('everything that can be fixed has words', () => {
  for (const name of [...Object.keys(TOPOLOGY_WORDS), ...Object.keys(FIXED_ROLES)])
    expect(fixedWords(name)).toMatch(/^(the main magnetic part of a |an? |no )/);
});
