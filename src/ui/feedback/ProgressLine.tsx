'use client';

/** How far a long piece of work is, with a way to stop it. */
export function ProgressLine({
  label,
  done,
  total,
  onCancel,
}: {
  label: string;
  done: number;
  total: number;
  onCancel: () => void;
}) {
  return (
    <div className="flex items-center gap-3 text-[13px]">
      <span>{label}</span>
      <progress value={done} max={total} aria-label={label} className="h-1.5 flex-1" />
      <span className="q">
        {done} of {total}
      </span>
      <button type="button" className="btn" onClick={onCancel}>
        Stop
      </button>
    </div>
  );
}
