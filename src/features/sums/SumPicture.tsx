import type { ReactNode } from 'react';
import type { Picture } from '../../core/sums';

const INK = { fill: 'none', stroke: 'var(--ink)', strokeWidth: 1.6 } as const;
const QUIET = { fill: 'none', stroke: 'var(--ink-2)', strokeWidth: 1, strokeDasharray: '5 4' } as const;

function Word({
  x,
  y,
  quiet,
  end,
  middle,
  children,
}: {
  x: number;
  y: number;
  quiet?: true;
  end?: true;
  middle?: true;
  children: ReactNode;
}) {
  return (
    <text
      x={x}
      y={y}
      textAnchor={middle ? 'middle' : end ? 'end' : 'start'}
      className={quiet ? '' : 'q'}
      fontSize={quiet ? 11.5 : 13}
      fill={quiet ? 'var(--ink-2)' : 'var(--ink)'}
      stroke="none"
    >
      {children}
    </text>
  );
}

type Words = Picture['words'];

/** A resistor as a rectangle, lying or upright. */
const Resistor = ({ x, y, upright }: { x: number; y: number; upright?: true }) =>
  upright ? (
    <rect x={x - 7} y={y - 18} width={14} height={36} fill="var(--lift)" />
  ) : (
    <rect x={x - 26} y={y - 8} width={52} height={16} fill="var(--lift)" />
  );

function InSeries({ words }: { words: Words }) {
  return (
    <>
      <g {...INK}>
        <path d="M16 24 H104 M156 24 H234 M242 24 H344" />
        <Resistor x={130} y={24} />
        <path d="M234 11 V37 M242 11 V37" strokeWidth="2.2" />
        <circle cx="13" cy="24" r="3" />
        <circle cx="347" cy="24" r="3" />
      </g>
      <Word x={10} y={46} quiet>
        {words.from}
      </Word>
      <Word x={350} y={46} quiet end>
        {words.to}
      </Word>
      <Word x={130} y={50} middle>
        {words.resistor}
      </Word>
      <Word x={238} y={50} middle>
        {words.capacitor}
      </Word>
      <Word x={130} y={66} quiet middle>
        {words.resistorKind}
      </Word>
      <Word x={250} y={66} quiet middle>
        {words.capacitorKind}
      </Word>
    </>
  );
}

function Divider({ words }: { words: Words }) {
  return (
    <>
      <g {...INK}>
        <path d="M90 14 V34 M90 70 V104 M90 140 V160 M74 160 H106 M90 87 H150" />
        <Resistor x={90} y={52} upright />
        <Resistor x={90} y={122} upright />
        <circle cx="90" cy="12" r="3" />
        <circle cx="90" cy="87" r="2.4" fill="var(--ink)" />
        <circle cx="153" cy="87" r="3" />
      </g>
      <Word x={104} y={16}>
        {words.top}
      </Word>
      <Word x={106} y={56}>
        {words.upper}
      </Word>
      <Word x={162} y={91}>
        {words.middle}
      </Word>
      <Word x={106} y={126}>
        {words.lower}
      </Word>
    </>
  );
}

function String({ words }: { words: Words }) {
  const rows = [20, 92];
  return (
    <>
      <g {...INK}>
        <path d="M60 12 H150 M60 84 H150 M60 156 H150" />
        {rows.map((top) => (
          <g key={top}>
            <path
              d={`M90 ${top - 8} V${top + 22} M90 ${top + 30} V${top + 64} M74 ${top + 22} H106 M74 ${top + 30} H106`}
            />
            <path d={`M140 ${top - 8} V${top + 64}`} />
            <Resistor x={140} y={top + 28} upright />
          </g>
        ))}
      </g>
      <Word x={56} y={16} end>
        {words.top}
      </Word>
      <Word x={56} y={88} end>
        {words.each}
      </Word>
      <Word x={56} y={160} end>
        0
      </Word>
      <Word x={68} y={50} end quiet>
        {words.capacitor}
      </Word>
      <Word x={156} y={52}>
        {words.resistor}
      </Word>
    </>
  );
}

function Stack({ words }: { words: Words }) {
  const count = Number(words.count);
  const each = 140 / count;
  return (
    <>
      <g {...INK}>
        {Array.from({ length: count }, (_, index) => {
          const top = 12 + index * each;
          const middle = top + each / 2;
          return (
            <g key={index}>
              {index > 0 && <path d={`M165 ${top - 5} V${top + 5}`} />}
              <rect x={60} y={top + 3} width={70} height={each - 6} />
              <path d={`M130 ${top + 5} H165 V${top + each - 5} H130`} />
              {/* Backwards across the output: its cathode at plus. */}
              <path d={`M159 ${middle + 5} H171 L165 ${middle - 5} Z M159 ${middle - 5} H171`} fill="var(--ink)" />
            </g>
          );
        })}
      </g>
      {Array.from({ length: count }, (_, index) => (
        <Word key={index} x={95} y={17 + (index + 0.5) * each} middle>
          {words.each}
        </Word>
      ))}
      <Word x={182} y={22}>
        {words.top}
      </Word>
      <Word x={182} y={150}>
        0
      </Word>
    </>
  );
}

function Core({ words }: { words: Words }) {
  return (
    <>
      <g {...INK}>
        <path d="M40 14 H220 V150 H40 Z" />
        <path d="M68 36 H112 V128 H68 Z M148 36 H192 V128 H148 Z" />
        {words.gap ? <path d="M112 80 H148 M112 86 H148" strokeWidth="1.2" /> : null}
      </g>
      <g {...INK} strokeWidth={1.2}>
        {[0, 1, 2].map((row) =>
          [0, 1, 2, 3].flatMap((turn) => [
            <circle key={`a${row}${turn}`} cx={104 - row * 12} cy={48 + turn * 22} r={4.6} />,
            <circle key={`b${row}${turn}`} cx={156 + row * 12} cy={48 + turn * 22} r={4.6} />,
          ]),
        )}
      </g>
      <Word x={130} y={166} quiet middle>
        {words.name}
      </Word>
      <Word x={232} y={60}>
        {words.turns}
      </Word>
      {words.leg && (
        <Word x={130} y={62} middle quiet>
          {words.leg}
        </Word>
      )}
      {words.gap && (
        <>
          <path d="M150 83 H228" {...QUIET} />
          <Word x={232} y={87}>
            {words.gap}
          </Word>
        </>
      )}
      {words.window && <Word x={232} y={110} quiet>{`window ${words.window}`}</Word>}
    </>
  );
}

function Barrier({ words }: { words: Words }) {
  return (
    <>
      <g {...INK}>
        <path d="M14 96 H150 V130 H170 V96 H306 V140 H14 Z" fill="var(--sheet)" />
        <path d="M34 92 H104 M216 92 H286" strokeWidth="6" />
      </g>
      <path d="M104 88 L216 88" {...QUIET} stroke="var(--ochre)" />
      <path d="M104 96 H150 V130 H170 V96 H216" fill="none" stroke="var(--ochre)" strokeWidth={2} />
      <path d="M160 30 V62" {...QUIET} />
      <Word x={160} y={22} middle quiet>
        mains side | isolated side
      </Word>
      <Word x={160} y={78} middle>
        {words.through}
      </Word>
      <Word x={182} y={122}>
        {words.along}
      </Word>
      <Word x={160} y={158} middle quiet>
        a slot of 1 mm and more lengthens the path
      </Word>
    </>
  );
}

const PICTURES: Readonly<
  Record<
    Picture['kind'],
    { readonly draw: (of: { words: Words }) => ReactNode; readonly box: string; readonly says: string }
  >
> = {
  'in series': { draw: InSeries, box: '0 0 360 72', says: 'a resistor and a capacitor in series' },
  divider: { draw: Divider, box: '30 0 240 166', says: 'a divider of two resistors' },
  string: { draw: String, box: '0 4 240 162', says: 'capacitors in series with a resistor across each' },
  stack: { draw: Stack, box: '30 4 240 156', says: 'supplies in series with a diode across each' },
  core: { draw: Core, box: '20 8 320 164', says: 'a core with its winding' },
  barrier: { draw: Barrier, box: '0 8 320 156', says: 'the barrier of a board from the side' },
};

/** A drawing of what a sum is about, with its values in it. */
export function SumPicture({ picture }: { picture: Picture }) {
  const { draw: Draw, box, says } = PICTURES[picture.kind];
  const words = Object.values(picture.words).filter((word) => word !== '');
  return (
    <svg viewBox={box} className="sum-picture" role="img" aria-label={`${says}: ${words.join(', ')}`}>
      <Draw words={picture.words} />
    </svg>
  );
}
