import { bandProblemText, COLOURS, decodeBands, decodeMarking, type Decoding } from '../marking';
import { kindFromWord, kindRule, RATINGS, type RatingName } from '../part';
import { q, type Sum, type Worked } from './sum';

const ratingsText = (ratings: Decoding['ratings']): string =>
  (Object.entries(ratings) as [RatingName, number][]).map(([name, value]) => q(value, RATINGS[name].unit)).join('  ');

function readings(decodings: readonly Decoding[], next: string): Worked {
  const [first] = decodings;
  return {
    answer: first ? `${ratingsText(first.ratings) || kindRule(first.kind).label}` : 'No rule knows it',
    ...(first ? { more: `${kindRule(first.kind).label}, ${Math.round(first.confidence * 100)} % sure.` } : {}),
    mark: !first ? 'cannot tell' : first.confidence >= 0.9 ? 'ok' : 'note',
    figures: [],
    choices: {
      head: ['how sure', 'what', 'values', 'why'],
      rows: decodings.map(({ kind, confidence, ratings, why }, index) => ({
        cells: [`${Math.round(confidence * 100)} %`, kindRule(kind).label, ratingsText(ratings), why],
        ...(index === 0 ? { isChosen: true as const } : {}),
      })),
    },
    why: first ? [`Rule: ${first.rule}.`] : [],
    cautions: ['A decoded voltage below 90 % sure counts by half until a datasheet says it.'],
    next,
  };
}

export const MARKINGS: readonly Sum[] = [
  {
    id: 'marking',
    question: 'make',
    title: 'Read a marking',
    words: 'marking code SMD decode part number',
    fields: [
      { id: 'marking', label: 'marking', usual: '12N65' },
      { id: 'kind', label: 'kind, if you know it', usual: '', isOptional: true },
    ],
    work: ({ t }) => {
      const typed = t('kind').trim();
      const kind = typed === '' ? undefined : kindFromWord(typed);
      if (typed !== '' && !kind)
        return { wrong: `“${typed}” is no kind of part; like resistor, nmos or electrolytic.`, field: 'kind' };
      return readings(decodeMarking(t('marking'), kind ? { kind } : {}), 'Check the datasheet before mains voltage.');
    },
    formula: ['the rules of markings, each with its source, stand in the Guide'],
    source: 'IEC 60062, JEDEC, Pro Electron, JIS and trade practice, from memory',
  },
  {
    id: 'bands',
    question: 'make',
    title: 'Read colour bands',
    words: 'colour code bands resistor inductor',
    fields: [{ id: 'bands', label: 'bands, from the end nearest a lead', usual: 'yellow violet red gold' }],
    work: ({ t }) => {
      const decoded = decodeBands(
        t('bands')
          .toLowerCase()
          .split(/[\s,-]+/)
          .filter((word) => word !== ''),
      );
      if (!decoded.ok) return { wrong: bandProblemText(decoded.problem), field: 'bands' };
      const came = readings(decoded.decodings, 'Measure it: brown, red and orange look alike once it has been hot.');
      return { ...came, why: [...came.why, `Colours: ${Object.keys(COLOURS).join(', ')}.`] };
    },
    formula: ['digits, factor, tolerance, temperature coefficient'],
    source: 'IEC 60062, from memory',
  },
];
