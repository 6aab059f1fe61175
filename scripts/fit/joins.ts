// Learns how likely two rails of a board traced in part are one, for the advice on the next probe.
import { writeFileSync } from 'node:fs';
import { Random, recognise } from '../../src/core/topology';
import { modelOf } from '../../src/core/topology/model';
import { mayAnchor } from '../../src/core/topology/partial/slots';
import { tellingPins } from '../../src/core/topology/probe/explore';
import { JoinOdds } from '../../src/core/topology/probe/joinOdds';
import { composedLessons, DRAWN, viewOf, type Lesson } from './views';

const TARGET = 'src/core/topology/probe/joinSizes.ts';
const VIEWS = 8;
const COMPOSED = { from: 60_001, boards: 120 } as const;
/** Of the pairs that are not joined, one in so many is learnt from, and counts for all of them. */
const ONE_OF = 12;
const STEPS = 400;
const RATE = 0.05;

interface Pair {
  readonly features: readonly number[];
  readonly isJoined: number;
  readonly weight: number;
}

function pairsOf(lesson: Lesson, random: Random): readonly Pair[] {
  const whole = modelOf(lesson.board);
  return Array.from({ length: VIEWS }, () => {
    const { model } = recognise(viewOf(lesson, random));
    const { board, rails } = model;
    const pins = tellingPins(board, new Set(board.parts.filter(mayAnchor)), false);
    const odds = new JoinOdds(model, pins);
    const unique = [...new Map(pins.map((pin) => [rails.at(pin.part, pin.pin), pin])).entries()];
    const wholeRail = ({ part, pin }: (typeof pins)[number]) => {
      const real = lesson.board.parts.find(({ ref }) => ref === part.ref);
      return real ? whole.rails.at(real, pin) : -1;
    };
    return unique.flatMap(([a, pin], index) =>
      unique.slice(index + 1).flatMap(([b, other]): Pair[] => {
        if (rails.relation(a, b) !== 'unknown') return [];
        const isJoined = wholeRail(pin) >= 0 && wholeRail(pin) === wholeRail(other);
        if (!isJoined && !random.chance(1 / ONE_OF)) return [];
        return [{ features: odds.featuresOf(a, b), isJoined: Number(isJoined), weight: isJoined ? 1 : ONE_OF }];
      }),
    );
  }).flat();
}

/** Learns from boards that were drawn, without those by which the advice is judged, and from composed ones. */
export function fitJoins(isJudged: (name: string) => boolean): void {
  const lessons = [...DRAWN.filter(({ name }) => !isJudged(name)), ...composedLessons(COMPOSED.from, COMPOSED.boards)];
  const pairs = lessons.flatMap((lesson, index) => pairsOf(lesson, new Random(900 + index)));
  const length = pairs[0]?.features.length ?? 0;
  const total = pairs.reduce((sum, { weight }) => sum + weight, 0);
  const sizes = new Float64Array(length);
  const [mean, spread] = [new Float64Array(length), new Float64Array(length)];
  for (let step = 1; step <= STEPS; step += 1) {
    const slope = new Float64Array(length);
    for (const { features, isJoined, weight } of pairs) {
      let nats = 0;
      for (let at = 0; at < length; at += 1) nats += (sizes[at] ?? 0) * (features[at] ?? 0);
      const error = (weight * (1 / (1 + Math.exp(-nats)) - isJoined)) / total;
      for (let at = 0; at < length; at += 1) slope[at] = (slope[at] ?? 0) + error * (features[at] ?? 0);
    }
    for (let at = 0; at < length; at += 1) {
      mean[at] = 0.9 * (mean[at] ?? 0) + 0.1 * (slope[at] ?? 0);
      spread[at] = 0.999 * (spread[at] ?? 0) + 0.001 * (slope[at] ?? 0) ** 2;
      const drift = (mean[at] ?? 0) / (1 - 0.9 ** step);
      sizes[at] = (sizes[at] ?? 0) - (RATE * drift) / (Math.sqrt((spread[at] ?? 0) / (1 - 0.999 ** step)) + 1e-12);
    }
  }
  const rounded = [...sizes].map((value) => Math.round(value * 1000) / 1000);
  writeFileSync(
    TARGET,
    `// Written by \`npm run fit\`; not edited by hand.

/** Learnt sizes of what speaks for two rails being one (\`JoinOdds\`), in nats. */
// oxfmt-ignore
export const JOIN_SIZES: readonly number[] = ${JSON.stringify(rounded)};
`,
  );
  report(pairs, rounded);
}

/** How often pairs of each likelihood are joined. */
function report(pairs: readonly Pair[], sizes: readonly number[]): void {
  const bins = Array.from({ length: 10 }, () => ({ weight: 0, joined: 0, said: 0 }));
  for (const { features, isJoined, weight } of pairs) {
    const share = 1 / (1 + Math.exp(-features.reduce((sum, value, at) => sum + value * (sizes[at] ?? 0), 0)));
    const bin = bins[Math.min(9, Math.floor(share * 10))];
    if (!bin) continue;
    bin.weight += weight;
    bin.joined += weight * isJoined;
    bin.said += weight * share;
  }
  for (const { weight, joined, said } of bins)
    process.stdout.write(`${(said / weight).toFixed(3)} said, ${(joined / weight).toFixed(3)} joined of ${weight}\n`);
}
