'use client';

import { useState, type RefObject } from 'react';
import { kindRule, type KindName } from '../../../core/part';

/** Kinds a board is full of, in the order a hand meets them. */
const KINDS: readonly KindName[] = [
  'resistor',
  'capacitor',
  'diode',
  'dual-diode',
  'bridge',
  'nmos',
  'npn',
  'ic',
  'optocoupler',
  'shunt-reference',
  'regulator',
  'inductor',
  'common-mode-choke',
  'transformer',
  'fuse',
  'varistor',
  'thermistor',
  'connector',
];
const CASES = [
  'radial',
  'snap-in',
  'axial',
  '0805',
  '1206',
  'TO-220',
  'TO-247',
  'TO-92',
  'SOT-23',
  'SO-8',
  'DIP-8',
  'DIP-4',
];
const KEYS = ['1234567890', 'RKMUNPVAWC', 'BDEFGHIJLOQSTXYZ', '.-?'] as const;

/**
 * Keys for gloves: kinds, cases and characters that are pressed into the row above, so that a part
 * is logged without a keyboard.
 */
export function PointingTray({
  refs,
  form,
  onChange,
}: {
  refs: readonly string[];
  form: RefObject<HTMLDivElement | null>;
  onChange: () => void;
}) {
  const [target, setTarget] = useState<'values' | 'marking' | 'ref'>('values');

  function field(name: string): HTMLInputElement | HTMLSelectElement | null {
    return form.current?.querySelector(`[name="${name}"]`) ?? null;
  }
  function put(name: string, change: (text: string) => string) {
    const found = field(name);
    if (!found) return;
    found.value = change(found.value);
    onChange();
  }
  function choose(kind: KindName) {
    put('kind', () => kind);
    put('ref', () => nextOf(kindRule(kind).prefixes[0] ?? 'X', refs));
  }

  return (
    <div role="group" aria-label="Keys to point at" className="mt-1 mb-2 grid gap-1.5 border-y border-rule py-2.5">
      <Row label="kind">
        {KINDS.map((kind) => (
          <Key key={kind} onPress={() => choose(kind)}>
            {kindRule(kind).label}
          </Key>
        ))}
      </Row>
      <Row label="case">
        {CASES.map((name) => (
          <Key key={name} onPress={() => put('package', () => name)}>
            {name}
          </Key>
        ))}
      </Row>
      <Row label="how many">
        <Key label="one less" onPress={() => put('count', (text) => String(Math.max(1, (Number(text) || 1) - 1)))}>
          −
        </Key>
        <Key label="one more" onPress={() => put('count', (text) => String(Math.min(60, (Number(text) || 1) + 1)))}>
          +
        </Key>
      </Row>
      <Row label="write into">
        {(['values', 'marking', 'ref'] as const).map((name) => (
          <button
            key={name}
            type="button"
            className="btn"
            data-tone={name === target ? undefined : 'quiet'}
            aria-pressed={name === target}
            onClick={() => setTarget(name)}
          >
            {name === 'ref' ? 'part' : name}
          </button>
        ))}
        <Key label="a blank" onPress={() => put(target, (text) => `${text} `)}>
          blank
        </Key>
        <Key label="take the last character back" onPress={() => put(target, (text) => text.slice(0, -1))}>
          ⌫
        </Key>
      </Row>
      {KEYS.map((letters) => (
        <Row key={letters} label="">
          {[...letters].map((letter) => (
            <Key key={letter} label={letter} onPress={() => put(target, (text) => text + letter)}>
              <span className="q">{letter}</span>
            </Key>
          ))}
        </Row>
      ))}
    </div>
  );
}

/** The first free number behind a letter: `R7` when R1 to R6 are logged. */
function nextOf(letters: string, refs: readonly string[]): string {
  const numbers = refs.flatMap((ref) => {
    const [, own, number] = /^([A-Z]+)(\d+)/.exec(ref) ?? [];
    return own === letters ? [Number(number)] : [];
  });
  return `${letters}${Math.max(0, ...numbers) + 1}`;
}

function Row({ label, children }: { label: string; children: React.ReactNode }) {
  return (
    <div className="grid grid-cols-[74px_1fr] items-baseline gap-x-2">
      <span className="label">{label}</span>
      <div className="flex flex-wrap gap-1">{children}</div>
    </div>
  );
}

function Key({ label, onPress, children }: { label?: string; onPress: () => void; children: React.ReactNode }) {
  return (
    <button type="button" className="btn" aria-label={label} onClick={onPress}>
      {children}
    </button>
  );
}
