/** @jest-environment jsdom */
import { screen } from '@testing-library/react';
import { mount } from '../testing/mount';
import { HoldNext, Next } from './Next';

test('the one thing to do next stands with what does it', () => {
  mount(<Next actions={<button type="button">Go</button>}>Read C3.</Next>);
  expect(screen.getByRole('heading', { name: 'Next' })).toBeTruthy();
  expect(screen.getByText('Read C3.')).toBeTruthy();
  expect(screen.getByRole('button', { name: 'Go' })).toBeTruthy();
});

test('what must come first stands in its place, and nothing of it is offered', () => {
  mount(
    <HoldNext first={<p>Unplug it.</p>}>
      <Next label="Probe next" actions={<button type="button">they beep</button>}>
        Does it beep?
      </Next>
    </HoldNext>,
  );
  expect(screen.getByText('Unplug it.')).toBeTruthy();
  for (const text of ['Probe next', 'Does it beep?', 'they beep']) expect(screen.queryByText(text)).toBeNull();
});
