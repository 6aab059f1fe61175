'use client';

import { splitPin } from '../../../../core/board';
import { spanningLines, type Point } from '../../../../core/photo';
import type { SpotView } from '../../photos/view.server';

/** How one pin stands at present. */
export interface PinState {
  readonly isHeld: boolean;
  readonly isLit: boolean;
  readonly isAsked: boolean;
}

/** From the joint towards the body: so much of the way is inked. */
const INKED = 0.55;
/** Pixels from a joint to the middle of its name. */
const NAME_AWAY = 15;
/** How far a thread sags, as a share of its length. */
const SAG = 0.07;
/** Names of pins come out from this enlargement on, and on a narrow screen those of parts too; before, they would hide the board. */
const NAMED_FROM = 1.8;

/**
 * What is drawn on the tracing paper over a photo: each pin as a stroke of ink from the body of its part to its joint, the
 * net that is lit as threads from joint to joint with a tag, and names.
 */
export function Tracing({
  spots,
  scale,
  shape,
  stateOf,
  onTouch,
}: {
  spots: readonly SpotView[];
  scale: number;
  /** Width of the picture over its height. */
  shape: number;
  stateOf: (pin: string) => PinState;
  onTouch?: ((pin: string) => void) | undefined;
}) {
  const middles = middlesOf(spots);
  const lit = spots.filter(({ pin }) => stateOf(pin).isLit);
  return (
    <>
      <div
        className={`pointer-events-none absolute inset-0 bg-sheet ${lit.length > 0 ? 'opacity-60' : 'opacity-30'}`}
        aria-hidden="true"
      />
      <svg
        viewBox="0 0 1 1"
        preserveAspectRatio="none"
        className="pointer-events-none absolute inset-0 size-full"
        fill="none"
        strokeLinecap="round"
        aria-hidden="true"
      >
        {spots.map((spot) => (
          <Stroke key={spot.pin} spot={spot} middle={middles.get(refOf(spot)) ?? spot} state={stateOf(spot.pin)} />
        ))}
        {spanningLines(lit).map(([from, to]) => (
          <Thread key={`${from.pin} ${to.pin}`} from={from} to={to} />
        ))}
      </svg>
      {[...middles].map(([ref, { x, y }]) => (
        <span
          key={ref}
          aria-hidden="true"
          className={`pointer-events-none absolute rounded-[2px] bg-sheet/85 px-1 font-mono text-[11px] leading-[14px] font-semibold text-ink ${scale < NAMED_FROM ? 'max-[899px]:hidden' : ''}`}
          style={placedAt({ x, y }, scale)}
        >
          {ref}
        </span>
      ))}
      {spots.map((spot) => (
        <Joint
          key={spot.pin}
          spot={spot}
          away={awayFrom(middles.get(refOf(spot)) ?? spot, spot, shape)}
          scale={scale}
          state={stateOf(spot.pin)}
          onTouch={onTouch}
        />
      ))}
      <NetTag lit={lit} held={spots.find(({ pin }) => stateOf(pin).isHeld)?.pin} scale={scale} />
    </>
  );
}

const refOf = ({ pin }: SpotView) => splitPin(pin)[0];

/** The middle of every part amid its pins. */
function middlesOf(spots: readonly SpotView[]): ReadonlyMap<string, Point> {
  return new Map(
    [...new Set(spots.map(refOf))].map((ref) => {
      const own = spots.filter((spot) => refOf(spot) === ref);
      return [
        ref,
        {
          x: own.reduce((sum, { x }) => sum + x, 0) / own.length,
          y: own.reduce((sum, { y }) => sum + y, 0) / own.length,
        },
      ] as const;
    }),
  );
}

const placedAt = ({ x, y }: Point, scale: number, move: Point = { x: 0, y: 0 }) => ({
  left: `${x * 100}%`,
  top: `${y * 100}%`,
  transform: `translate(-50%, -50%) scale(${1 / scale}) translate(${move.x}px, ${move.y}px)`,
});

/** Pixels from a joint to its name, away from the body; straight up where the part has one pin only. */
function awayFrom(middle: Point, joint: Point, shape: number): Point {
  const [dx, dy] = [(joint.x - middle.x) * shape, joint.y - middle.y];
  const length = Math.hypot(dx, dy);
  return length === 0 ? { x: 0, y: -NAME_AWAY } : { x: (dx / length) * NAME_AWAY, y: (dy / length) * NAME_AWAY };
}

/** A pin as a short stroke of ink; dashed where it is seen through the board. */
function Stroke({ spot: { x, y, isOwn }, middle, state }: { spot: SpotView; middle: Point; state: PinState }) {
  const path = `M${x + (middle.x - x) * INKED} ${y + (middle.y - y) * INKED}L${x} ${y}`;
  const width = state.isHeld ? 6 : state.isLit ? 5 : 3.5;
  return (
    <>
      <path d={path} stroke="var(--sheet)" strokeWidth={width + 3} vectorEffect="non-scaling-stroke" />
      <path
        d={path}
        stroke={state.isLit || state.isAsked ? 'var(--ochre)' : 'var(--ink)'}
        strokeWidth={width}
        vectorEffect="non-scaling-stroke"
        {...(isOwn ? {} : { strokeDasharray: '4 5', opacity: 0.8 })}
      />
    </>
  );
}

/** A piece of the lit net, sagging a little between two joints. */
function Thread({ from, to }: { from: Point; to: Point }) {
  const [dx, dy] = [to.x - from.x, to.y - from.y];
  const bend = { x: (from.x + to.x) / 2 - dy * SAG, y: (from.y + to.y) / 2 + Math.abs(dx) * SAG };
  const path = `M${from.x} ${from.y}Q${bend.x} ${bend.y} ${to.x} ${to.y}`;
  return (
    <g data-thread="">
      <path d={path} stroke="var(--sheet)" strokeWidth="5" vectorEffect="non-scaling-stroke" />
      <path d={path} stroke="var(--ochre)" strokeWidth="2" vectorEffect="non-scaling-stroke" />
    </g>
  );
}

/** The end of a pin, where it is touched, with its name beyond it. */
function Joint({
  spot: { pin, x, y, isOwn },
  away,
  scale,
  state: { isHeld, isLit, isAsked },
  onTouch,
}: {
  spot: SpotView;
  away: Point;
  scale: number;
  state: PinState;
  onTouch?: ((pin: string) => void) | undefined;
}) {
  const isWhole = isHeld || isLit || isAsked;
  return (
    <button
      type="button"
      className="solder"
      data-own={isOwn}
      data-lit={isLit}
      data-asked={isAsked}
      aria-pressed={isHeld}
      aria-label={`${pin} on the photo${isAsked ? ', asked for next' : ''}`}
      title={isOwn ? pin : `${pin}, placed on the other side`}
      disabled={!onTouch}
      style={placedAt({ x, y }, scale)}
      onClick={(event) => {
        event.stopPropagation();
        onTouch?.(pin);
      }}
    >
      {(isWhole || scale >= NAMED_FROM) && (
        <span
          data-lit={isLit || isAsked}
          style={{ transform: `translate(-50%, -50%) translate(${away.x * (isWhole ? 1.5 : 1)}px, ${away.y}px)` }}
        >
          {isWhole ? pin : splitPin(pin)[1]}
        </span>
      )}
    </button>
  );
}

/** The name of the lit net on a tag amid its longest thread. */
function NetTag({ lit, held, scale }: { lit: readonly SpotView[]; held: string | undefined; scale: number }) {
  const length = ([from, to]: readonly [SpotView, SpotView]) => Math.hypot(from.x - to.x, from.y - to.y);
  const [longest] = spanningLines(lit).toSorted((a, b) => length(b) - length(a));
  if (!longest) return null;
  const [from, to] = longest;
  return (
    <span
      aria-hidden="true"
      className="pointer-events-none absolute rounded-[2px] border border-ochre bg-ochre-wash px-1.5 font-mono text-[11px] leading-[16px] whitespace-nowrap text-ink"
      style={placedAt({ x: (from.x + to.x) / 2, y: (from.y + to.y) / 2 }, scale)}
    >
      {held ?? from.pin}: {lit.length} joints
    </span>
  );
}
