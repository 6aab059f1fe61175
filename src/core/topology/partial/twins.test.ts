import { analyse, probesFrom, tracedSoFar } from '..';
import { BOARD_SETS, sizesWithout } from '../fixtures/leftOut';
import { areJoined, withAnswer } from '../probe/nextProbes';
import { SLOT_CLASSES, type SlotClass } from './classes';
import { FactSheet } from './facts/sheet';
import { besideTwins } from './twins';

const scored = (scores: Partial<Record<SlotClass, number>>) => SLOT_CLASSES.map((name) => scores[name] ?? -20);
const of = (scores: readonly number[], name: SlotClass) => scores[SLOT_CLASSES.indexOf(name)];

test('of two readings that look alike the rare one stays near, until a join tells them apart', () => {
  const sheet = new FactSheet();
  sheet.raise('buck cell, ground not known', 1);
  const scores = scored({ buck: 5, flyback: 1 });
  const open = besideTwins(sheet, scores);
  expect(of(open, 'inverting-buck-boost')).toBeCloseTo(5 - Math.log(7));
  expect([of(open, 'buck'), of(open, 'flyback'), of(open, 'boost')]).toEqual([5, 1, -20]);
  sheet.raise('buck cell', 1);
  expect(besideTwins(sheet, scores)).toEqual(scores);
  expect(besideTwins(new FactSheet(), scores)).toEqual(scores);
});

/** Traced by the advice, they were surely called a step-down converter before anything told which side is fed. */
test.each([
  ['other', 'wash-aux'],
  ['practical', 'inverting-34063'],
  ['practical', 'offline-buck-boost'],
  ['practical', 'totem-pfc'],
] as const)('%s/%s, not learnt from, is never surely called what it is not', (set, wanted) => {
  const entry = BOARD_SETS[set].find(({ name }) => name === wanted);
  if (!entry) throw new Error(`no ${wanted}`);
  const { name, board, stages } = entry;
  const truth = stages.map(({ topology }) => topology);
  const sizes = sizesWithout(name);
  let known = tracedSoFar(board, []);
  for (let count = 0; count < 16; count += 1) {
    const { hypotheses, recognition } = analyse(known, sizes);
    for (const { topology, probability } of hypotheses)
      if (probability >= 0.9) expect([count, topology]).toEqual([count, truth[0]]);
    const [probe] = probesFrom(recognition, 1, sizes).probes;
    if (!probe) break;
    for (const pin of probe.sweep.pins)
      known = withAnswer(known, probe.sweep.hold, pin, areJoined(board, probe.sweep.hold, pin));
  }
});
