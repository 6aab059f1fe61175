import { practice } from '../evidence';

/** Rated voltages in volts that capacitors are sold with; alternating ones of the safety classes among them. */
// oxfmt-ignore
const MADE_VOLTS: readonly number[] = practice([
  2.5, 2.7, 4, 5.5, 6.3, 7.5, 10, 12, 15, 16, 20, 25, 30, 35, 40, 50, 60, 63, 75, 80, 100, 120, 125, 150, 160, 180, 200,
  220, 250, 275, 300, 305, 310, 315, 330, 350, 360, 385, 400, 420, 435, 440, 450, 475, 480, 500, 520, 525, 530, 550, 560,
  600, 630, 700, 760, 800, 850, 875, 900, 1000, 1100, 1200, 1250, 1300, 1500, 1600, 2000, 2500, 3000, 3150, 4000, 5000,
  6000, 6300, 8000, 10_000, 12_000, 15_000, 16_000, 20_000,
]);

/** Whether capacitors are made for a voltage; others are more likely a reading of one. */
export const isMadeVoltage = (volts: number): boolean => MADE_VOLTS.includes(volts);
