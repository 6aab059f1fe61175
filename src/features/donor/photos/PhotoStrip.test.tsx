/** @jest-environment jsdom */
import { fireEvent, screen, waitFor } from '@testing-library/react';
import type { FormOutcome } from '../../../ui/form/outcome';
import { answerLater, mount } from '../../../ui/testing/mount';
import { PhotoStrip } from './PhotoStrip';
import { sendPhoto } from './sendPhoto';

jest.mock('./sendPhoto', () => ({ sendPhoto: jest.fn() }));
const send = jest.mocked(sendPhoto);
beforeEach(() => send.mockReset());

const photo = (name: string) => new File([name], name, { type: 'image/jpeg' });
const strip = () => mount(<PhotoStrip code="FQM-ZN8" station="open" photos={[]} />);
const sent = () => send.mock.calls.map(([{ file }]) => file.name);

test('photos that are chosen go one after another, each with its station, and the page is read again', async () => {
  send.mockResolvedValue({ ok: true });
  const { user, router } = strip();
  await user.upload(screen.getByLabelText('Choose'), [photo('a.jpg'), photo('b.jpg')]);
  await waitFor(() => expect(router.refresh).toHaveBeenCalledTimes(1));
  expect(sent()).toEqual(['a.jpg', 'b.jpg']);
  expect(send.mock.calls[0]?.[0]).toMatchObject({ code: 'FQM-ZN8', station: 'open' });
});

test('photos may be dropped', async () => {
  send.mockResolvedValue({ ok: true });
  const { router } = strip();
  fireEvent.drop(screen.getByRole('region', { name: 'Photos' }), { dataTransfer: { files: [photo('a.jpg')] } });
  await waitFor(() => expect(router.refresh).toHaveBeenCalled());
  expect(sent()).toEqual(['a.jpg']);
});

test('what is refused is named, and does not keep the others from coming', async () => {
  send
    .mockResolvedValueOnce({ ok: false, problems: [{ message: 'a.jpg is damaged.' }] })
    .mockRejectedValueOnce(new Error('b.jpg was not sent: the server did not answer.'))
    .mockResolvedValueOnce({ ok: true });
  const { user } = strip();
  await user.upload(screen.getByLabelText('Choose'), [photo('a.jpg'), photo('b.jpg'), photo('c.jpg')]);
  const alert = await screen.findByRole('alert');
  expect([...alert.querySelectorAll('li')].map((line) => line.textContent)).toEqual([
    'a.jpg is damaged.',
    'b.jpg was not sent: the server did not answer.',
  ]);
  expect(sent()).toEqual(['a.jpg', 'b.jpg', 'c.jpg']);
});

test('it tells how far it is; what was stopped is not sent, and named', async () => {
  const later = answerLater<FormOutcome>();
  send.mockImplementationOnce(({ onShare, signal }) => {
    onShare(0.42);
    signal.addEventListener('abort', () => later.fail(new Error('a.jpg was not sent: you stopped.')));
    return later.promise;
  });
  const { user } = strip();
  await user.upload(screen.getByLabelText('Choose'), [photo('a.jpg'), photo('b.jpg')]);
  expect(await screen.findByText(/a\.jpg, 42 %/)).toBeTruthy();
  await user.click(screen.getByRole('button', { name: /stop|cancel/i }));
  const alert = await screen.findByRole('alert');
  expect([...alert.querySelectorAll('li')].map((line) => line.textContent)).toEqual([
    'a.jpg was not sent: you stopped.',
    'b.jpg was not sent: you stopped.',
  ]);
  expect(sent()).toEqual(['a.jpg']);
});
