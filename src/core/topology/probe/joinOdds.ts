import type { BoardPart, NetPin } from '../../board';
import type { Model } from '../model';
import { AGAINST_SENSE, isAgainstSense, placeOf, usualAt, type Place } from './candidate';
import { JOIN_SIZES } from './joinSizes';
import { affinityOf, pinClass, pinSort } from './pinClass';

/** A pin with what is asked of it for every pair, found once. */
interface KnownPin {
  readonly pin: NetPin;
  readonly name: string;
  readonly sort: string;
  readonly place: Place;
}

/** Shares are kept off 0 and 1 by so much before they become odds. */
const LEAST = 5e-4;
/** Pins that are joined less often than this are not asked about. */
const HARDLY_EVER = 0.003;
const MAY_SHARE_A_NET: ReadonlySet<BoardPart['kind']> = new Set(['ic', 'connector']);

const logit = (share: number): number => {
  const kept = Math.min(1 - LEAST, Math.max(LEAST, share));
  return Math.log(kept / (1 - kept));
};

/** How likely two rails of a board traced in part are one, by what lies on them and what else they may be. */
export class JoinOdds {
  private readonly known = new Map<number, readonly KnownPin[]>();
  private readonly affinities = new Map<string, Map<string, number>>();
  private readonly weights = new Map<number, number>();
  private readonly sums = new Map<number, number>();
  private readonly apart = new Map<number, number>();

  /** Rails of the pins that may be asked about. */
  private readonly open: ReadonlySet<number>;

  /** `pins` are those that may be asked about: what a rail may lead to is reckoned over their rails. */
  constructor(
    private readonly model: Model,
    pins: readonly NetPin[],
  ) {
    this.open = new Set(pins.map(({ part, pin }) => model.rails.at(part, pin)));
  }

  /** Probability that two rails are one; none where pins such as theirs are hardly ever joined. */
  share(a: number, b: number): number {
    if (this.weight(a, b) < HARDLY_EVER) return 0;
    const nats = this.featuresOf(a, b).reduce((sum, value, index) => sum + value * (JOIN_SIZES[index] ?? 0), 0);
    return 1 / (1 + Math.exp(-nats));
  }

  /** What speaks for and against two rails being one, in the order of `JOIN_SIZES`. */
  featuresOf(a: number, b: number): readonly number[] {
    const { rails } = this.model;
    const [on, other] = [rails.on(a), rails.on(b)];
    const [one, two] = [this.weight(a, b) / this.sum(a), this.weight(a, b) / this.sum(b)];
    const shared = on.filter(({ part }) => other.some((pin) => pin.part === part)).map(({ part }) => part);
    const sorts = new Set(this.pinsOn(b).map(({ sort }) => sort));
    const alike = this.pinsOn(a).filter(({ sort }) => sorts.has(sort));
    const isOf = (sort: string) => alike.some((entry) => entry.sort === sort);
    const switched = (list: readonly NetPin[]) =>
      list.some(({ pin }) => pin === 'D' || pin === 'C') && list.some(({ part }) => part.kind === 'transformer');
    const isWinding = (list: readonly NetPin[]) => list.some(({ part }) => part.kind === 'transformer');
    return [
      1,
      logit(this.weight(a, b)),
      logit(Math.max(one, two)),
      logit(Math.min(one, two)),
      Number(shared.some(({ kind }) => !MAY_SHARE_A_NET.has(kind) && kind !== 'transformer')),
      Number(shared.some(({ kind }) => kind === 'transformer')),
      Number(shared.some(({ kind }) => MAY_SHARE_A_NET.has(kind))),
      Math.log(on.length) + Math.log(other.length),
      Number(on.length > 2 && other.length > 2),
      Math.log1p(this.apartFrom(a)) + Math.log1p(this.apartFrom(b)),
      Number(isOf('transformer') || isOf('choke')),
      Number(isOf('store +') || isOf('store -') || isOf('primary store +') || isOf('primary store -')),
      Number(alike.length > 0 && !isOf('transformer') && !isOf('choke')),
      Number((switched(on) && isWinding(other)) || (switched(other) && isWinding(on))),
    ];
  }

  private pinsOn(rail: number): readonly KnownPin[] {
    const before = this.known.get(rail);
    if (before) return before;
    const found = this.model.rails.on(rail).map((pin) => {
      const name = pinClass(pin.part, pin.pin);
      return { pin, name, sort: pinSort(name), place: placeOf(pin, name) };
    });
    this.known.set(rail, found);
    return found;
  }

  /** How often pins such as those of two rails are joined: of the likeliest pair. */
  private weight(a: number, b: number): number {
    const key = Math.min(a, b) * this.model.rails.count + Math.max(a, b);
    const before = this.weights.get(key);
    if (before !== undefined) return before;
    let most = 0;
    for (const one of this.pinsOn(a))
      for (const two of this.pinsOn(b)) {
        if (one.pin.part === two.pin.part) continue;
        const sense = isAgainstSense(one.pin, two.pin) ? AGAINST_SENSE : 1;
        const usual = this.affinity(one.name, two.name) * usualAt(one.place, two.place) * usualAt(two.place, one.place);
        most = Math.max(most, usual * sense);
      }
    this.weights.set(key, most);
    return most;
  }

  private affinity(a: string, b: string): number {
    const row = this.affinities.get(a) ?? new Map<string, number>();
    this.affinities.set(a, row);
    const before = row.get(b);
    if (before !== undefined) return before;
    const found = affinityOf(a, b);
    row.set(b, found);
    return found;
  }

  private sum(rail: number): number {
    const known = this.sums.get(rail);
    if (known !== undefined) return known;
    const { rails } = this.model;
    let sum = LEAST;
    for (const to of this.open) if (to !== rail && rails.relation(rail, to) === 'unknown') sum += this.weight(rail, to);
    this.sums.set(rail, sum);
    return sum;
  }

  private apartFrom(rail: number): number {
    const known = this.apart.get(rail);
    if (known !== undefined) return known;
    const { rails } = this.model;
    let count = 0;
    for (const to of this.open) if (to !== rail && rails.relation(rail, to) === 'separate') count += 1;
    this.apart.set(rail, count);
    return count;
  }
}
