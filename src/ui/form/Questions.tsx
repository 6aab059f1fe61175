import type { FormProblem } from './outcome';

/** What must be answered before a form can be saved: field by field, whose value counts. */
export function Questions({ problem: { message, questions = [] } }: { problem: FormProblem }) {
  return (
    <div role="alert" className="col-span-full my-2 border-l-4 border-stop bg-stop-wash px-3 py-2 text-[13px]">
      <p className="font-semibold">{message}</p>
      {questions.map(({ name, label, options }) => (
        <fieldset key={name} className="mt-1.5">
          <legend className="label">{label}</legend>
          {options.map((option) => (
            <label key={option.value} className="flex min-h-7 items-baseline gap-2 max-[899px]:min-h-11">
              <input type="radio" name={name} value={option.value} />
              <span className="min-w-0 break-words">{option.label}</span>
            </label>
          ))}
        </fieldset>
      ))}
      <button type="submit" className="btn mt-2">
        Save with these answers
      </button>
    </div>
  );
}
