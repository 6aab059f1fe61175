import 'server-only';
import type { RolePart, Subject } from '../../core/compare';
import { partsByRole, type RoleName } from '../../core/diagnose';
import { INLETS } from '../../core/nameplate';
import { SEAMS } from '../../core/opening';
import { donorTitle } from '../../db/repositories/donors';
import type { PartRecord } from '../../db/repositories/parts';
import { latestSoak } from '../../db/repositories/soaks';
import { minutesByStation, yieldsOf } from '../../db/repositories/yields';
import { partRoles, tracedBoard, tracedReading } from '../../services/board';
import { unitRecord, type Dossier } from '../../services/dossier';

/** Kinds a part of a role can be of; a number alone may point to another. */
const KINDS: Partial<Record<RoleName, RegExp>> = {
  mainSwitch: /mos|npn|igbt|^ic$/u,
  pfcSwitch: /mos|igbt/u,
  syncFet: /mos/u,
  standbySwitch: /mos|npn|^ic$/u,
  outputRectifier: /diode/u,
  pfcDiode: /diode/u,
  bridge: /bridge/u,
  bulk: /capacitor/u,
  outputCapacitor: /capacitor/u,
  xCapacitor: /capacitor/u,
  resonant: /capacitor/u,
  clamp: /capacitor/u,
  ntc: /thermistor/u,
  varistor: /varistor/u,
  fuse: /fuse/u,
  optocoupler: /opto/u,
  reference: /reference/u,
  transformer: /transformer/u,
  startUp: /resistor/u,
  fusible: /resistor|fuse/u,
  controller: /^ic$|controller/u,
};
/** What a part is by itself, on a board that nobody traced: one that stands mains volts switches, a Schottky rectifies an output. */
const BY_ITSELF: Partial<Record<RoleName, (part: RolePart) => boolean>> = {
  zener: ({ kind, subtype }) => kind === 'diode' && /zener|tvs/iu.test(subtype),
  mainSwitch: ({ kind, ratings }) => /mos|igbt/u.test(kind) && (ratings['vds'] ?? ratings['vces'] ?? 0) >= 400,
  outputRectifier: ({ kind, subtype, ratings }) =>
    kind === 'dual-diode' || (/diode/u.test(kind) && /schottky/iu.test(subtype) && (ratings['ifav'] ?? 0) >= 2),
  syncFet: ({ kind, ratings }) => /mos/u.test(kind) && (ratings['vds'] ?? Infinity) <= 200,
};
const COMPARED = [...new Set([...Object.keys(KINDS), ...Object.keys(BY_ITSELF)])] as RoleName[];

/** A donor as it is compared: plate, size, parts role by role, run, opening and yield. */
export async function subjectOf(dossier: Dossier): Promise<Subject> {
  const { db, donor, plate } = dossier;
  const [unit, board, reading, described, steps, soak, minutes, yields] = await Promise.all([
    unitRecord(dossier),
    tracedBoard(dossier, false),
    tracedReading(dossier),
    partRoles(dossier),
    dossier.openingSteps(),
    latestSoak(db, donor.id),
    minutesByStation(db, [donor.id]),
    yieldsOf(db, [donor.id]),
  ]);
  const outputs = plate.outputs.filter(({ standby, ac }) => !standby && !ac);
  const strength = ({ v, i, p }: (typeof outputs)[number]) => p ?? Math.abs(v) * (i ?? 0);
  const main = outputs.toSorted((one, other) => strength(other) - strength(one))[0];
  const refsOf = partsByRole({ unit: { kind: donor.kind }, board, topologies: reading.topologies, described });
  const records = new Map(unit.parts.map((record) => [record.part.ref, record]));
  const heaviest = soak
    .filter(({ inputW, outputV, loadA }) => inputW !== null && outputV !== null && loadA !== null && loadA > 0)
    .toSorted((one, other) => (other.loadA ?? 0) - (one.loadA ?? 0))[0];
  const { lengthM, widthM, heightM } = donor;
  const taken = yields.get(donor.id);
  return {
    code: donor.code,
    title: donorTitle(donor),
    year: unit.year,
    volts: main && Math.abs(main.v),
    amperes: main?.i,
    watts: unit.voltages.judged.ratedPower,
    isFedFromMains: unit.fedFromMains,
    size:
      lengthM !== null && widthM !== null && heightM !== null
        ? { length: lengthM, width: widthM, height: heightM }
        : undefined,
    mass: donor.massKg ?? undefined,
    idle: soak.find(({ inputW, loadA }) => inputW !== null && loadA === 0)?.inputW ?? undefined,
    efficiency:
      heaviest?.inputW && heaviest.outputV !== null && heaviest.loadA !== null
        ? (heaviest.outputV * heaviest.loadA) / heaviest.inputW
        : undefined,
    topologies: reading.topologies,
    isIsolated: reading.isIsolated,
    roles: Object.fromEntries(
      COMPARED.map((role) => {
        const found = refsOf(role).flatMap((ref): readonly RolePart[] => {
          const record = records.get(ref);
          return record && KINDS[role]?.test(record.part.kind) ? [rolePart(record)] : [];
        });
        const byItself = BY_ITSELF[role];
        return [role, found.length > 0 || !byItself ? found : unit.parts.map(rolePart).filter(byItself)];
      }),
    ),
    bleeders: unit.parts.filter(({ part }) => part.duty === 'bleeder').map(rolePart),
    logged: unit.parts.length,
    inlet: donor.inlet === null ? '' : INLETS[donor.inlet].label,
    marks: { efficiency: plate.efficiencyLevel ?? '', protection: plate.safetyClass ?? '' },
    opening: {
      seams: [...new Set(steps.map(({ seam }) => SEAMS[seam].label))],
      minutes:
        minutes.find(({ station }) => station === 'open')?.minutes ??
        steps.reduce((sum, step) => sum + (step.minutes ?? 0), 0),
    },
    yielded: { pieces: taken?.pieces ?? 0, used: taken?.used ?? 0 },
  };
}

const rolePart = ({ part, ratings }: PartRecord): RolePart => ({
  ref: part.ref,
  kind: part.kind,
  subtype: [part.subtype, part.technology].filter(Boolean).join(' '),
  package: part.package ?? '',
  marking: part.marking ?? '',
  ratings: Object.fromEntries(Object.entries(ratings).flatMap(([name, one]) => (one ? [[name, one.value]] : []))),
});
