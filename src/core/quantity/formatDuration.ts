/**
 * A waiting time for a person, rounded up so that it is never too short (house rule: when unsure,
 * answer on the safe side).
 * @example formatDuration(63.2) // '64 s'
 * @example formatDuration(2534) // '43 min'
 */
export function formatDuration(seconds: number): string {
  if (!Number.isFinite(seconds)) return 'never';
  if (seconds <= 0) return '0\u00a0s';
  if (seconds < 10) return `${(Math.ceil(seconds * 10 - 1e-9) / 10).toFixed(1)}\u00a0s`;
  if (seconds <= 120) return `${Math.ceil(seconds - 1e-9)}\u00a0s`;
  if (seconds <= 7200) return `${Math.ceil(seconds / 60 - 1e-9)}\u00a0min`;
  return `${Math.ceil(seconds / 3600 - 1e-9)}\u00a0h`;
}
