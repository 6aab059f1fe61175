import type { SceneBoard } from '../../server/meter';

/** Bench lines by which a board is traced: windings first, then net by net; or only those that one of some pins is on. */
export function tracingLines({ nets, windings }: SceneBoard, only?: readonly string[]): readonly string[] {
  const isWanted = (pins: readonly string[]) => !only || pins.some((pin) => only.includes(pin));
  const wound = windings.flatMap((line) => {
    const words = line.split(' ');
    const [pins, ohms] = [words.slice(0, -1), Number(words.at(-1))];
    // Chokes have two pins, and nobody measures what there is no doubt about.
    if (!/^[TK]/.test(line) || !isWanted(pins)) return [];
    const each = Number((ohms / (pins.length - 1)).toPrecision(2));
    return pins.slice(1).map((pin, index) => `${pins[index]} ~ ${pin} ${each}`);
  });
  const joined = nets
    .map((net) => net.split(' '))
    .filter((pins) => pins.length > 1 && isWanted(pins))
    .map((pins) => pins.join(' - '));
  return [...wound, ...joined];
}
