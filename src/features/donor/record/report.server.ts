import 'server-only';
import { OUTCOMES } from '../../../core/donor';
import { findingsOf } from '../../../core/findings';
import { describePlate } from '../../../core/nameplate';
import { kindRule } from '../../../core/part';
import { reportOf, type Block, type Report, type ReportSection } from '../../../core/report';
import { drawSchematic, schematicSvg, type Schematic } from '../../../core/schematic';
import { STATION_LABEL } from '../../../core/station';
import { SUMS } from '../../../core/sums';
import { analyse } from '../../../core/topology';
import { lotTitle } from '../../../core/stock';
import { UNIT_KINDS } from '../../../core/unit';
import { powerWalk } from '../../../core/walk';
import { donorTitle } from '../../../db/repositories/donors';
import { listKeptSums } from '../../../db/repositories/keptSums';
import { isOpen } from '../../../db/repositories/notes';
import { lotsOfDonor } from '../../../db/repositories/lotSearch';
import { latestReassembly } from '../../../db/repositories/openings';
import { listPowerUpMarks } from '../../../db/repositories/powerUp';
import { listRepairFacts } from '../../../db/repositories/repairFacts';
import { listRecordings } from '../../../db/repositories/recordings';
import { minutesByStation, yieldsOf } from '../../../db/repositories/yields';
import { judgeRecord, testContext, tracedBoard } from '../../../services/board';
import { unitRecord, type Dossier } from '../../../services/dossier';
import { dayOf } from '../../../ui/value/moments';
import { measuredRows } from '../shared/measuredRows';
import { ratingSummary } from '../shared/words';
import { REASSEMBLED, stepWords, unitRows } from './reportWords';

/** What may be left out of a report that goes out of the house. */
export const LEFT_OUT = ['maker', 'origin'] as const;
export type LeftOut = (typeof LEFT_OUT)[number];

/** A report with what its blocks point to. */
export interface DonorReport {
  readonly report: Report;
  /** Hashes of photos by the file they are called in the report. */
  readonly photos: ReadonlyMap<string, string>;
  readonly drawings: ReadonlyMap<string, Schematic>;
  /** Parts and what was measured of them, as tables. */
  readonly tables: Readonly<
    Record<
      'parts' | 'measurements',
      { readonly head: readonly string[]; readonly rows: readonly (readonly string[])[] }
    >
  >;
}

const PARTS = ['part', 'kind', 'marking', 'ratings', 'case', 'condition', 'verdict'] as const;
const MEASURED = ['part', 'what', 'reading', 'where'] as const;
const CAUTION =
  'What is told here was found on one unit, by hobbyists. Mains and stored charge can kill: read every store dead yourself, keep to your local code, and leave work on the mains to licensed people.';

/** All that is known of a donor, in the order in which another person could follow it. */
export async function donorReport(dossier: Dossier, without: readonly LeftOut[] = []): Promise<DonorReport> {
  const { db, donor, plate } = dossier;
  const isDone = (await dossier.overview()).facts.declaredDone.includes('trace');
  const [
    parts,
    context,
    unit,
    steps,
    reassembly,
    lots,
    repair,
    powerUp,
    notes,
    allPhotos,
    sums,
    minutes,
    yields,
    board,
    recordings,
  ] = await Promise.all([
    dossier.parts(),
    testContext(dossier),
    unitRecord(dossier),
    dossier.openingSteps(),
    latestReassembly(db, donor.id),
    lotsOfDonor(db, donor.id),
    listRepairFacts(db, donor.id),
    listPowerUpMarks(db, donor.id),
    dossier.notes(),
    dossier.photos(),
    listKeptSums(db, { donorId: donor.id }),
    minutesByStation(db, [donor.id]),
    yieldsOf(db, [donor.id]),
    tracedBoard(dossier, isDone),
    listRecordings(db, donor.id),
  ]);
  const hidesMaker = without.includes('maker');
  const named = hidesMaker ? { ...donor, maker: '', model: '' } : donor;
  const partRows = parts.map((record) => {
    const { part, ratings } = record;
    return [
      part.ref,
      [kindRule(part.kind).label, part.subtype].filter(Boolean).join(', '),
      part.marking ?? '',
      ratingSummary(part.kind, ratings)
        .map(({ text, source }) => `${text} (${source})`)
        .join(', '),
      part.package ?? '',
      [...part.fitments, ...part.damage].join(', '),
      part.state === 'harvested' ? 'in stock' : (judgeRecord(record, context)?.verdict ?? ''),
    ];
  });
  const measured = parts.flatMap((record) =>
    measuredRows(record, context).map(({ label, value, evidence }) => [
      record.part.ref,
      label,
      value,
      evidence || 'out of circuit',
    ]),
  );
  const drawings = new Map<string, Schematic>();
  const traced: Block[] = [];
  let walk: readonly string[] = [];
  let findings: readonly { readonly message: string; readonly advice?: string | undefined }[] = [];
  if (board.parts.length > 0 && (board.joined?.length ?? 0) > 0) {
    const analysis = analyse(board);
    const { schematic } = drawSchematic(analysis);
    drawings.set('schematic.svg', schematic);
    traced.push({
      kind: 'drawing',
      file: 'schematic.svg',
      caption: `The board as it was traced${isDone ? '' : ', not all of it yet'}`,
      svg: schematicSvg(schematic),
    });
    walk = powerWalk(analysis);
    findings = findingsOf(analysis.recognition);
  }
  // A photo of the label tells the maker.
  const photos = hidesMaker ? allPhotos.filter(({ photo }) => photo.side !== 'label') : allPhotos;
  const photoFiles = new Map(photos.map(({ photo }, place) => [`photos/${place + 1}.jpg`, photo.hash]));
  const names = [donor.maker, donor.model].filter((word) => word !== '');
  const hidden = (text: string): string =>
    hidesMaker ? names.reduce((so, name) => so.replaceAll(name, '…'), text) : text;
  const open = notes.filter(isOpen);
  const taken = yields.get(donor.id);
  const sections: ReportSection[] = [
    {
      id: 'unit',
      title: 'The unit',
      blocks: [
        { kind: 'caution', text: CAUTION },
        {
          kind: 'facts',
          rows: unitRows(dossier, { year: unit.year, hidesMaker, hidesOrigin: without.includes('origin') }),
        },
        {
          kind: 'list',
          items: unit.cautions.map(({ text }) => text),
        },
      ],
    },
    {
      id: 'next',
      title: 'What the next one of its kind should be told',
      blocks: [{ kind: 'list', items: notes.filter(({ tellNext }) => tellNext).map(({ text }) => hidden(text)) }],
    },
    {
      id: 'photos',
      title: 'Photos',
      blocks: [
        {
          kind: 'caution',
          text:
            hidesMaker && photos.length > 0
              ? 'A photo may still show the maker: look through them before this goes out.'
              : '',
        },
        ...photos.map(({ photo, pins }, place) => ({
          kind: 'picture' as const,
          file: `photos/${place + 1}.jpg`,
          caption: hidden(photo.caption || STATION_LABEL[photo.station]),
          width: photo.widthPx,
          height: photo.heightPx,
          pins: pins.map(({ number, xShare, yShare, note }) => ({ number, x: xShare, y: yShare, note: hidden(note) })),
        })),
      ],
    },
    {
      id: 'opening',
      title: 'How it came apart',
      blocks: [
        {
          kind: 'list',
          isOrdered: true,
          items: steps.map((step) => hidden(stepWords(step))),
        },
        { kind: 'list', items: notes.filter((note) => note.station === 'open').map(({ text }) => hidden(text)) },
        {
          kind: 'text',
          text: reassembly
            ? [REASSEMBLED[reassembly.result], reassembly.remark].filter((word) => word !== '').join(': ')
            : '',
        },
      ],
    },
    { id: 'walk', title: 'What the power passes', blocks: [{ kind: 'list', isOrdered: true, items: walk }] },
    { id: 'schematic', title: 'Schematic', blocks: traced },
    {
      id: 'parts',
      title: 'Parts',
      blocks: [{ kind: 'table', label: 'Parts', head: PARTS, rows: partRows }],
    },
    {
      id: 'measurements',
      title: 'Measurements',
      blocks: [{ kind: 'table', label: 'Measurements', head: MEASURED, rows: measured }],
    },
    {
      id: 'recordings',
      title: 'Recordings',
      blocks: recordings.map((one, place) => ({
        kind: 'plot',
        file: `recordings/${place + 1}.svg`,
        caption: hidden([one.ref, one.title].join(', ')),
        lines: one.channels.map(({ name, unit, points }) => ({ label: name, unit, points })),
      })),
    },
    {
      id: 'findings',
      title: 'Findings',
      blocks: [
        { kind: 'list', items: findings.map(({ message, advice }) => [message, advice].filter(Boolean).join(' ')) },
      ],
    },
    {
      id: 'repair',
      title: 'Diagnosis and repair',
      blocks: [
        {
          kind: 'table',
          label: 'Diagnosis and repair',
          head: ['what', 'part', 'told or read', 'outcome'],
          rows: repair.map(({ kind, ref, test, text, outcome }) => [
            { complaint: 'complaint', seen: 'seen', check: 'check', fitted: 'fitted' }[kind],
            ref,
            hidden([test, text].filter((word) => word !== '').join(': ')),
            outcome,
          ]),
        },
        {
          kind: 'table',
          label: 'First power-up',
          head: ['power-up', 'step', 'read', 'outcome'],
          rows: powerUp.map(({ run, step, text, outcome }) => [String(run), step, text, outcome]),
        },
      ],
    },
    {
      id: 'harvest',
      title: 'What was taken out',
      blocks: [
        {
          kind: 'table',
          label: 'Lots',
          head: ['lot', 'part', 'grade', 'pieces', 'bin'],
          rows: lots.map(({ lot, bin, ratings }) => [
            lot.code,
            lotTitle({ kind: lot.kind, marking: lot.marking, ratings }),
            lot.grade ?? '',
            String(lot.onHand),
            bin,
          ]),
        },
        {
          kind: 'text',
          text: taken
            ? `${taken.pieces} pieces came out; ${taken.used} were used and ${taken.setAside} are set aside${taken.builds.length > 0 ? `, for ${taken.builds.join(', ')}` : ''}.`
            : '',
        },
      ],
    },
    {
      id: 'questions',
      title: 'Open questions',
      blocks: [
        {
          kind: 'list',
          items: open.map(({ ref, text, askedOf, createdMs }) =>
            hidden(
              [ref ? `${ref}: ${text}` : text, askedOf ? `asked of ${askedOf}` : '', `since ${dayOf(createdMs)}`]
                .filter((word) => word !== '')
                .join('; '),
            ),
          ),
        },
      ],
    },
    {
      id: 'notes',
      title: 'Notes',
      blocks: [
        {
          kind: 'list',
          items: notes
            .filter((note) => !isOpen(note) && !note.tellNext && note.station !== 'open')
            .map(({ ref, text }) => hidden(ref ? `${ref}: ${text}` : text)),
        },
        {
          kind: 'list',
          items: sums.map(({ sum, ref, answer }) =>
            [SUMS.find(({ id }) => id === sum)?.title ?? sum, ref, answer].filter((word) => word !== '').join(', '),
          ),
        },
      ],
    },
    {
      id: 'time',
      title: 'Time',
      blocks: [
        {
          kind: 'facts',
          rows: [
            ...minutes.map(
              ({ station, minutes: took }) => [STATION_LABEL[station], `${Math.max(1, Math.round(took))} min`] as const,
            ),
            ...(donor.outcome === ''
              ? []
              : [
                  [
                    'how it ended',
                    [
                      OUTCOMES[donor.outcome].label,
                      donor.closedMs === null ? '' : dayOf(donor.closedMs),
                      donor.outcomeNote,
                    ]
                      .filter((word) => word !== '')
                      .join(', '),
                  ] as const,
                ]),
          ],
        },
      ],
    },
  ];
  return {
    report: reportOf({
      title: donorTitle(named) || UNIT_KINDS[donor.kind].label,
      subtitle: [donor.code, describePlate(plate), dayOf(dossier.now)].filter((word) => word !== '').join(' · '),
      sections,
    }),
    photos: photoFiles,
    drawings,
    tables: { parts: { head: PARTS, rows: partRows }, measurements: { head: MEASURED, rows: measured } },
  };
}
