import type { PowerPart } from './part';

/** The net that feeds the switches from a direct input; undefined at the line. */
export function feedNet(parts: readonly PowerPart[]): string | undefined {
  const feed = parts.find(({ model }) => model.kind === 'supply')?.drawn.pins['+'];
  const fuse = parts.find(({ drawn }) => drawn.kind === 'fuse' && drawn.pins['1'] === feed);
  return fuse?.drawn.pins['2'] ?? feed;
}

/** The switch that forms a leg with another one: in series with it from the input to its return, so that both must never be closed. */
export function legMate(parts: readonly PowerPart[], ref: string): string | undefined {
  const feed = feedNet(parts);
  const switches = parts.filter(({ model }) => model.kind === 'mosfet');
  const own = switches.find((part) => part.ref === ref)?.drawn.pins;
  return switches.find(({ drawn: { pins } }) => {
    if (!own) return false;
    const isBelow = own['D'] === feed && own['S'] === pins['D'] && pins['S'] === '0';
    return isBelow || (pins['D'] === feed && pins['S'] === own['D'] && own['S'] === '0');
  })?.ref;
}
