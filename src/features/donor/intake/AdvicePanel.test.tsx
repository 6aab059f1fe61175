/** @jest-environment jsdom */
import { fireEvent, screen, within } from '@testing-library/react';
import { FACTOR_LABEL, FACTORS, OPTION_LABEL, USUAL_WEIGHTS, type Factor, type UnitFacts } from '../../../core/advice';
import { mount } from '../../../ui/testing/mount';
import { keepWeightsAction } from './actions';
import { AdvicePanel } from './AdvicePanel';

jest.mock('./actions', () => ({ keepWeightsAction: jest.fn(() => Promise.resolve({ ok: true, message: 'kept' })) }));
beforeEach(() => jest.clearAllMocks());

const FACTS: UnitFacts = {
  right: { may: true, why: '' },
  symptom: 'dead',
  kind: 'desk-brick',
  ratedPower: 60,
  hazards: [{ name: 'mains reservoir', grave: true }],
  likeDonors: { parts: 9, donors: 3 },
  needs: ['switch of the reading lamp'],
};

const panel = (facts: UnitFacts | undefined = FACTS) =>
  mount(<AdvicePanel facts={facts} stored={USUAL_WEIGHTS} message="60 W, behind a fuse." />);
const ways = () =>
  within(screen.getByRole('list', { name: 'Advice' }))
    .getAllByRole('listitem')
    .map(({ textContent }) => textContent ?? '');
const weigh = (factor: Factor, weight: number) =>
  fireEvent.change(screen.getByLabelText(FACTOR_LABEL[factor]), { target: { value: `${weight}` } });

test('without facts only what is missing is told', () => {
  mount(<AdvicePanel facts={undefined} stored={USUAL_WEIGHTS} message="Type the label first." />);
  expect(screen.getByText('Type the label first.')).toBeTruthy();
  expect(screen.queryByRole('list', { name: 'Advice' })).toBeNull();
});

test('every way has its score out of a hundred, the best first', () => {
  panel();
  const scores = ways().map((text) => Number(/(\d+)$/.exec(text)?.[1]));
  expect(scores).toHaveLength(Object.keys(OPTION_LABEL).length);
  expect(scores).toEqual(scores.toSorted((a, b) => b - a));
});

test('a unit that may not be taken apart is not offered for harvest, with the reason', () => {
  panel({ ...FACTS, right: { may: false, why: 'It is lent.' } });
  expect(screen.getByText(/^It is lent\. 60 W/)).toBeTruthy();
  expect(ways()[0]).not.toContain('harvest');
});

test('with one reason alone that one decides, and the change can be kept for every unit', async () => {
  const { user } = panel();
  expect(screen.queryByRole('button', { name: 'Use for every unit' })).toBeNull();
  for (const factor of FACTORS) weigh(factor, factor === 'yield' ? 5 : 0);
  const weights = { symptom: 0, hazard: 0, yield: 5, needs: 0, effort: 0 };
  await user.click(screen.getByRole('button', { name: 'Use for every unit' }));
  expect(keepWeightsAction).toHaveBeenCalledWith(weights);
  expect(ways()[0]).toContain('harvest');
});

test('weights go back to those of the shop', async () => {
  const { user } = panel();
  const before = ways();
  weigh('hazard', 5);
  expect(ways()).not.toEqual(before);
  await user.click(screen.getByRole('button', { name: 'as before' }));
  expect(ways()).toEqual(before);
  expect(screen.queryByRole('button', { name: 'as before' })).toBeNull();
});
