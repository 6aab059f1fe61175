import type { BoardPart } from '../../board';
import type { Evidence, FindingRule } from '../finding';

const isFitted = ({ fitted }: BoardPart) => fitted !== false;

/** One net that is both the return of the mains side and a pin of an output, on a board with an optocoupler. */
export const confusedGrounds: FindingRule = {
  rule: 'confused-grounds',
  severity: 'danger',
  source: 'an optocoupler has a purpose only where two sides are kept apart: textbook, from memory',
  check({ model: { board, nets }, barrier }) {
    const link = board.parts.find((part) => part.kind === 'optocoupler' && isFitted(part));
    if (
      !link ||
      barrier.breaches.length > 0 ||
      barrier.joined.length > 0 ||
      !board.parts.some(({ role }) => role === 'mains-inlet')
    )
      return [];
    return board.parts
      .filter(({ role }) => role === 'output')
      .flatMap((output) => {
        const shared = Object.keys(output.pins).flatMap((pin) => {
          const on = nets.pins[nets.of(`${output.ref}.${pin}`)] ?? [];
          const back = on.find(({ part, pin: name }) => part.kind === 'bridge' && name === '-');
          return back ? [{ pin, back: back.part }] : [];
        });
        const [first] = shared;
        return first
          ? [
              {
                parts: [output, first.back, link],
                message: `${output.ref}.${first.pin} is one net with the minus of ${first.back.ref}, the return of the mains side, although ${link.ref} is there to keep the sides apart.`,
                advice:
                  'Beep the two grounds against each other once more: the two are easily mixed up. If it is so, the output is live; do not power the unit.',
              },
            ]
          : [];
      });
  },
};

/** Current transfer of the usual four-legged optocoupler by its rank letter, in per cent at 5 mA. Data sheets of the 817 type by several makers, from memory. */
const RANKS: Readonly<Record<string, string>> = {
  A: '80 to 160 %',
  B: '130 to 260 %',
  C: '200 to 400 %',
  D: '300 to 600 %',
};
const RANKED = /817(?:[\s-]*([A-D]))?\b/i;

/** The rank of an optocoupler in a loop: what to look for when it is replaced. */
export const optocouplerRank: FindingRule = {
  rule: 'optocoupler-rank',
  severity: 'note',
  source: 'data sheets of the 817 type by several makers, from memory',
  check: ({ model: { board } }) =>
    board.parts.flatMap((part) => {
      const match = part.kind === 'optocoupler' && isFitted(part) ? RANKED.exec(part.marking ?? '') : null;
      if (!match) return [];
      const rank = match[1]?.toUpperCase();
      return [
        {
          parts: [part],
          message: rank
            ? `${part.ref} is of rank ${rank}: it passes ${RANKS[rank] ?? ''} of its LED current on.`
            : `${part.ref} shows no rank: it may pass anything from 50 to 600 % of its LED current on.`,
          advice: rank
            ? 'Replace it by one of the same rank, or the loop may swing or sag.'
            : 'Measure it before it goes into another loop, or keep it with its board.',
        },
      ];
    }),
};

const SLOT = /\b(slot|gap|cut-?out|creepage)\b/i;
const BRIDGED = /\b(bridged?|bridging|solder|carbon|burn(t|ed)?|dirt|flux|glue|conductive|tracks?)\b/i;

/** Notes that a creepage slot is bridged. */
export const bridgedSlot: FindingRule = {
  rule: 'bridged-slot',
  severity: 'danger',
  source: 'IEC 62368-1, creepage distances, from memory; what bridges a slot is as the person noted it',
  check: ({ model: { board } }: Evidence) =>
    (board.notes ?? [])
      .filter((text) => SLOT.test(text) && BRIDGED.test(text) && !/\bnot\b|\bno\b|\bclean\b/i.test(text))
      .map((text) => ({
        parts: [],
        message: `You noted: “${text}”. A slot keeps the mains away from the output; what lies across it ends that.`,
        advice: 'Clean it out and look at it again before the unit is powered; carbon is cut out, not wiped off.',
      })),
};
