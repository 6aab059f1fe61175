import { MARKING_RULES } from '../../core/marking';
import { Evidence } from '../../ui/frame/Halves';

/** Every rule that reads a marking, with what it yields, how far it is believed, and where it comes from. */
export function MarkingRulesSheet() {
  return (
    <Evidence>
      <p className="mb-3 max-w-[760px] text-[13.5px]">
        A rule reads a text by its shape. How far it is believed holds for a part of its kind; a worn print, a wrong
        case and a second reading all take from it. Remembered numbers and the chip families stand beside these rules.
      </p>
      <table className="rows plain" aria-label="Rules of markings">
        <thead>
          <tr>
            <th>rule</th>
            <th>example</th>
            <th>what it yields</th>
            <th>believed</th>
            <th>source</th>
          </tr>
        </thead>
        <tbody>
          {MARKING_RULES.map(({ name, example, yields, prior, source }, index) => (
            <tr key={index}>
              <td>{name}</td>
              <td className="q">{example}</td>
              <td>{yields}</td>
              <td className="q">{Math.round(prior * 100)} %</td>
              <td className="text-ink-2">{source}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </Evidence>
  );
}
