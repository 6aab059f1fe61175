import { formatQuantity } from '../../../core/quantity';
import type { BoardAnswer } from '../../../workers/board.contract';

/** The unit explained from inlet to outputs, and what its rails stand at. */
export function PowerWalk({ answer }: { answer: BoardAnswer }) {
  return (
    <div className="grid max-w-[860px] gap-4">
      <ol className="dotted text-[14px]" aria-label="Power walk">
        {answer.walk.map((sentence, index) => (
          <li key={sentence} className="grid grid-cols-[34px_1fr] py-1.5">
            <span className="font-mono text-ink-2">{index + 1}</span>
            {sentence}
          </li>
        ))}
      </ol>
      {answer.rails.length > 0 && (
        <table className="rows plain" aria-label="Rails">
          <thead>
            <tr>
              <th>rail</th>
              <th data-align="end">about</th>
              <th data-align="end">at most</th>
              <th>because</th>
            </tr>
          </thead>
          <tbody>
            {answer.rails.map(({ at, volts, most, why }) => (
              <tr key={`${at} ${why}`}>
                <td className="ref">{at}</td>
                <td className="font-mono" data-align="end">
                  {volts === undefined ? '' : formatQuantity(volts, 'volt', { digits: 3 })}
                </td>
                <td className="font-mono" data-align="end">
                  {most === undefined ? '' : formatQuantity(most, 'volt', { digits: 3 })}
                </td>
                <td className="text-ink-2">{why}</td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
    </div>
  );
}
