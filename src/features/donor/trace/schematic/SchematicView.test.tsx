/** @jest-environment jsdom */
import { fireEvent, screen, waitFor } from '@testing-library/react';
import type { Schematic } from '../../../../core/schematic';
import { mount } from '../../../../ui/testing/mount';
import { SchematicView } from './SchematicView';

const box = {
  pins: [],
  shapes: [{ path: 'M0 10H40' }],
  body: { left: 0, right: 40, top: 0, bottom: 20 },
  captionAt: 'above',
} as const;
const symbol = (ref: string, x: number): Schematic['symbols'][number] => ({
  ref,
  symbol: box,
  at: { x, y: 100 },
  caption: {
    anchor: 'middle',
    lines: [
      { text: ref, x: 20, y: -15 },
      { text: ref === 'R1' ? '4.7 kΩ' : '650 V', x: 20, y: -4 },
    ],
  },
  isPower: false,
  side: 'primary',
});
const SCHEMATIC: Schematic = {
  width: 400,
  height: 200,
  symbols: [
    symbol('Q1', 40),
    { ...symbol('R1', 200), symbol: { ...box, shapes: [{ text: 'fb', at: { x: 1, y: 2 }, anchor: 'start' }] } },
  ],
  wires: [
    {
      net: 1,
      points: [
        { x: 80, y: 110 },
        { x: 200, y: 110 },
      ],
      isPower: true,
    },
    {
      net: 2,
      points: [
        { x: 240, y: 110 },
        { x: 300, y: 110 },
      ],
      isPower: false,
    },
  ],
  labels: [
    { net: 2, text: 'VCC', at: { x: 300, y: 110 }, side: 'right', kind: 'name', pins: [] },
    { net: 3, text: '', at: { x: 40, y: 140 }, side: 'bottom', kind: 'ground', pins: [] },
    { net: 4, text: '', at: { x: 60, y: 140 }, side: 'bottom', kind: 'open', pins: [] },
  ],
  dots: [{ x: 80, y: 110, net: 1 }],
  title: 'flyback',
};

function shown({ lit, chosen, schematic = SCHEMATIC }: { lit?: number; chosen?: string; schematic?: Schematic } = {}) {
  const [onPart, onNet] = [jest.fn(), jest.fn()];
  const mounted = mount(<SchematicView {...{ schematic, lit, chosen, onPart, onNet }} />);
  const sheet = screen.getByRole('group', { name: /Schematic: flyback/ });
  return { ...mounted, sheet, onPart, onNet };
}
const wires = (sheet: HTMLElement) => [...sheet.querySelectorAll<SVGPathElement>('svg > path')];

test('each part stands with its reference and value, and a click tells which part it is', () => {
  const { sheet, onPart } = shown();
  expect([...sheet.querySelectorAll('[data-ref]')].map((part) => part.textContent)).toEqual(['Q1650 V', 'fbR14.7 kΩ']);
  fireEvent.click(screen.getByText('4.7 kΩ'));
  expect(onPart).toHaveBeenCalledWith('R1');
});

test('a click on a wire, a name, a ground sign or an open end lights its net', () => {
  const { sheet, onNet } = shown();
  const [power, plain, ground] = wires(sheet);
  for (const element of [power, plain, ground, screen.getByText('VCC'), sheet.querySelector('circle[r="4"]')])
    if (element) fireEvent.click(element);
  expect(onNet.mock.calls.flat()).toEqual([1, 2, 3, 2, 4]);
});

test('the net that is lit and the part that is chosen are told apart from the rest', () => {
  const { sheet, show } = shown({ lit: 1, chosen: 'Q1' });
  const inks = () => wires(sheet).map((wire) => `${wire.getAttribute('stroke')} ${wire.getAttribute('stroke-width')}`);
  expect(inks().slice(0, 2)).toEqual(['var(--ochre) 3', 'var(--ink) 1']);
  expect(sheet.querySelector('[data-ref="Q1"]')?.getAttribute('stroke')).toBe('var(--ochre)');
  expect(sheet.querySelector('[data-ref="R1"]')?.getAttribute('stroke')).toBe('var(--ink)');
  show(<SchematicView schematic={SCHEMATIC} lit={2} chosen={undefined} onPart={jest.fn()} onNet={jest.fn()} />);
  expect(inks().slice(0, 2)).toEqual(['var(--ink) 2', 'var(--ochre) 3']);
});

test.each([
  ['nothing is isolated: no barrier is drawn', SCHEMATIC, 0],
  ['the barrier is drawn and named', { ...SCHEMATIC, barrier: { x: 150, width: 20 } }, 1],
] as const)('where %s', (_, schematic, count) => {
  shown({ schematic });
  expect(screen.queryAllByText('barrier')).toHaveLength(count);
});

test('plus comes nearer, zero shows all', () => {
  const { sheet } = shown();
  const seen = () => sheet.getAttribute('viewBox')?.split(' ').map(Number) ?? [];
  expect(seen()).toEqual([0, 0, 400, 200]);
  fireEvent.keyDown(sheet, { key: '+' });
  expect(seen()[2]).toBeLessThan(400);
  fireEvent.keyDown(sheet, { key: '0' });
  expect(seen()).toEqual([0, 0, 400, 200]);
});

describe('as a file', () => {
  const saved: { name: string; content: Blob }[] = [];
  beforeEach(() => {
    saved.length = 0;
    const blobs = new Map<string, Blob>();
    URL.createObjectURL = (blob: Blob) => {
      const url = `blob:${blobs.size}`;
      blobs.set(url, blob);
      return url;
    };
    URL.revokeObjectURL = () => undefined;
    jest.spyOn(HTMLAnchorElement.prototype, 'click').mockImplementation(function (this: HTMLAnchorElement) {
      const content = blobs.get(this.href);
      if (content) saved.push({ name: this.download, content });
    });
  });

  test('the drawing is kept as SVG', async () => {
    const { user } = shown();
    await user.click(screen.getByRole('button', { name: 'SVG' }));
    expect(saved.map(({ name, content }) => [name, content.type])).toEqual([['schematic.svg', 'image/svg+xml']]);
  });

  test('and as PNG, twice as fine as the drawing is wide', async () => {
    const sizes: number[][] = [];
    HTMLImageElement.prototype.decode = () => Promise.resolve();
    jest.spyOn(HTMLCanvasElement.prototype, 'getContext').mockReturnValue({ drawImage: () => undefined } as never);
    jest.spyOn(HTMLCanvasElement.prototype, 'toBlob').mockImplementation(function (this: HTMLCanvasElement, done) {
      sizes.push([this.width, this.height]);
      done(new Blob(['png'], { type: 'image/png' }));
    });
    const { user } = shown();
    await user.click(screen.getByRole('button', { name: 'PNG' }));
    await waitFor(() => expect(saved.map(({ name }) => name)).toEqual(['schematic.png']));
    expect(sizes).toEqual([[800, 400]]);
  });
});
