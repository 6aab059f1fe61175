import { allAtOnce, noPause, partOf, stepByStep, type Steps } from '.';

function* counting(to: number): Steps<string> {
  for (let at = 1; at <= to; at += 1) yield at / to;
  return `${to} done`;
}

test('the same work is done at once, or with its shares told', async () => {
  const shares: number[] = [];
  const told = await stepByStep(counting(4), (share) => Promise.resolve(void shares.push(share)));
  expect(told).toBe(allAtOnce(counting(4)));
  expect(shares).toEqual([0.25, 0.5, 0.75, 1]);
  expect(await stepByStep(counting(2), noPause)).toBe('2 done');
});

test('shares of a part lie between its ends, and a pause that rejects ends the work', async () => {
  const shares: number[] = [];
  const stops = (share: number) => {
    shares.push(share);
    return share > 0.6 ? Promise.reject(new Error('stopped')) : Promise.resolve();
  };
  await expect(stepByStep(counting(4), partOf(stops, 0.5, 0.7))).rejects.toThrow('stopped');
  expect(shares.map((share) => share.toFixed(3))).toEqual(['0.550', '0.600', '0.650']);
});
