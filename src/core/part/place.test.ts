import {
  BLOCK_NAMES,
  blockFromWord,
  BLOCKS,
  damageFromWord,
  DUTY_NAMES,
  dutyFromWord,
  FITMENT_NAMES,
  fitmentFromWord,
  kindFromWord,
  packageFromWord,
  packageRule,
  SUBTYPES,
} from '.';

test.each`
  word           | block
  ${'input'}     | ${'input'}
  ${'MAINS'}     | ${'input'}
  ${'pfc'}       | ${'pfc'}
  ${'primary'}   | ${'switch'}
  ${'secondary'} | ${'secondary'}
  ${'standby'}   | ${'standby'}
  ${'control'}   | ${'control'}
  ${'kitchen'}   | ${undefined}
`('$word is the block $block', ({ word, block }) => {
  expect(blockFromWord(word)).toBe(block);
});

test.each`
  word            | duty          | fitment          | damage
  ${'clamp'}      | ${'clamp'}    | ${undefined}     | ${undefined}
  ${'startup'}    | ${'start-up'} | ${undefined}     | ${undefined}
  ${'Start-Up'}   | ${'start-up'} | ${undefined}     | ${undefined}
  ${'empty'}      | ${undefined}  | ${'unpopulated'} | ${undefined}
  ${'hand-added'} | ${undefined}  | ${'hand-added'}  | ${undefined}
  ${'leaked'}     | ${undefined}  | ${undefined}     | ${'leaking'}
  ${'burned'}     | ${undefined}  | ${undefined}     | ${'burnt'}
  ${'BULGED'}     | ${undefined}  | ${undefined}     | ${'bulged'}
  ${'nothing'}    | ${undefined}  | ${undefined}     | ${undefined}
`('$word', ({ word, duty, fitment, damage }) => {
  expect([dutyFromWord(word), fitmentFromWord(word), damageFromWord(word)]).toEqual([duty, fitment, damage]);
});

test('no word of a place is a kind, a case or a sort of part as well', () => {
  const words = [...BLOCK_NAMES.flatMap((name) => [...BLOCKS[name].words]), ...DUTY_NAMES, ...FITMENT_NAMES];
  expect(new Set(words).size).toBe(words.length);
  for (const word of words) {
    // A switch is a kind of part as well: the letters of the reference tell which is meant.
    if (word !== 'switch') expect(kindFromWord(word)).toBeUndefined();
    expect(packageFromWord(word)).toBeUndefined();
    expect(SUBTYPES[word]).toBeUndefined();
  }
});

// Legs by case, common practice.
test.each`
  typed       | name          | legs  | group
  ${'to220'}  | ${'TO-220'}   | ${3}  | ${'tab'}
  ${'TO252'}  | ${'DPAK'}     | ${3}  | ${'tab'}
  ${'soic8'}  | ${'SO-8'}     | ${8}  | ${'so'}
  ${'sop-16'} | ${'SO-16'}    | ${16} | ${'so'}
  ${'dip4'}   | ${'DIP-4'}    | ${4}  | ${'dip-4'}
  ${'sot236'} | ${'SOT-23-6'} | ${6}  | ${'so'}
  ${'0805'}   | ${'0805'}     | ${2}  | ${'chip'}
  ${'smb'}    | ${'SMB'}      | ${2}  | ${'diode'}
  ${'gbu'}    | ${'GBU'}      | ${4}  | ${'bridge'}
  ${'radial'} | ${'radial'}   | ${2}  | ${'radial'}
`('$typed is $name with $legs legs', ({ typed, name, legs, group }) => {
  expect(packageFromWord(typed)).toBe(name);
  expect(packageRule(name)).toMatchObject({ legs, group });
});
