import { z } from 'zod';
import {
  controlOf,
  loopOf,
  runDesign,
  searchDesigns,
  toBuyFor,
  whyOf,
  WISHES,
  type Design,
  type DesignLot,
  type DesignSpec,
} from '../core/design';
import { allAtOnce } from '../core/steps';
import { readStock } from '../formats/stock';
import { UnusableInput, type CommandLine } from './arguments';
import { contentOf } from './board';

const number = z.number().finite();
const specSchema = z.object({
  input: z.union([number, z.object({ low: number, high: number })]),
  output: number,
  current: number,
  ripple: number.optional(),
  ambient: number.optional(),
  isolated: z.boolean().optional(),
  wish: z.enum(WISHES).optional(),
});

/** Converters out of a stock list, the best first. */
export function design(line: CommandLine, note: (text: string) => void) {
  const [path, stock, ...more] = line.words;
  if (path === undefined || stock === undefined || more.length > 0)
    throw new UnusableInput('design: a spec and a stock list are expected.');
  const { name, content } = contentOf({ words: [path], options: {} }, 'design');
  let json: unknown;
  try {
    json = JSON.parse(content);
  } catch {
    throw new UnusableInput(`${name}: JSON is expected.`);
  }
  const read = specSchema.safeParse(json);
  if (!read.success) {
    const [issue] = read.error.issues;
    throw new UnusableInput(`${name}, ${issue?.path.join('.') || 'its top'}: ${issue?.message ?? 'unusable'}.`);
  }
  const { input, ripple, ambient, isolated, wish, ...rest } = read.data;
  const list = contentOf({ words: [stock], options: {} }, 'design');
  const { read: lots, refused } = allAtOnce(readStock(list.content, { bin: 'LIST', keepsCodes: true }));
  for (const { line: at, why } of refused) note(`${list.name}, line ${at}: ${why}`);
  const began = Date.now();
  const spec: DesignSpec = {
    ...rest,
    inputLow: typeof input === 'number' ? input : input.low,
    inputHigh: typeof input === 'number' ? input : input.high,
    ...(ripple === undefined ? {} : { ripple }),
    ...(ambient === undefined ? {} : { ambient }),
    ...(isolated ? { isolated } : {}),
    ...(wish ? { wish } : {}),
  };
  const stocked = lots.map(({ line: at, entry }): DesignLot => ({
    code: entry.code || `line ${at}`,
    kind: entry.kind,
    pieces: entry.pieces,
    ratings: Object.fromEntries(
      Object.entries(entry.ratings).flatMap(([rating, one]) => (one ? [[rating, one.value]] : [])),
    ),
    ...(entry.technology || entry.subtype ? { technology: entry.technology || entry.subtype } : {}),
    ...(entry.package ? { package: entry.package } : {}),
    ...(entry.marking ? { marking: entry.marking } : {}),
  }));
  const result = allAtOnce(searchDesigns(spec, stocked));
  if ('wrong' in result) throw new UnusableInput(`${name}: ${result.wrong}`);
  return {
    designs: result.designs.map((one, place) => ({
      ...told(one, spec, stocked),
      // The best is run with its own parts.
      ...(place === 0 ? { simulated: ranAs(one, spec) } : {}),
    })),
    searched: result.searched,
    seconds: (Date.now() - began) / 1000,
  };
}

function ranAs(one: Design, spec: DesignSpec) {
  const run = runDesign(one, spec);
  return run && { volts: figure(run.volts), ripple: figure(run.ripple), peak: figure(run.peak) };
}

const figure = (value: number) => Number(value.toPrecision(4));

function told(one: Design, spec: DesignSpec, lots: readonly DesignLot[]) {
  const control = controlOf(one, spec, lots);
  const loop = control && loopOf(one, spec, control);
  return {
    topology: one.topology,
    frequency: one.frequency,
    parts: Object.fromEntries(
      Object.entries(one.parts).map(([role, { lot, count, sink }]) => [
        role,
        { lot: lot.code, count, ...(sink === undefined ? {} : { sink: figure(sink) }) },
      ]),
    ),
    efficiency: figure(one.efficiency),
    stress: Object.entries(one.parts).flatMap(([role, { stresses, celsius }]) => [
      ...stresses.map(({ name, value, rating, share }) => ({
        role,
        name,
        value: figure(value),
        rating: figure(rating),
        share: figure(share),
      })),
      ...(celsius === undefined
        ? []
        : [{ role, name: 'junction', value: figure(celsius), rating: 125, share: figure(celsius / 125) }]),
    ]),
    ...(control
      ? {
          controller: {
            ...(control.lot ? { lot: control.lot.code } : {}),
            family: control.family.id,
            outer: [...control.outer, ...(loop?.outer ?? [])].map(({ name, value, unit }) => ({
              name,
              value: figure(value),
              unit,
            })),
            ...(loop ? { crossover: figure(loop.crossover), margin: figure(loop.margin) } : {}),
          },
        }
      : {}),
    missing: [
      ...one.missing.map((role) => toBuyFor(one, role)),
      ...(control?.lot ? [] : [`controller${control ? `, such as ${control.family.id}` : ''}`]),
    ],
    ...whyOf(one),
  };
}
