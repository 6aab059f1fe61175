import { z } from 'zod';
import { freeText, tick } from '../../../ui/form/fieldSchemas';

export const measurementForm = z
  .object({ inCircuit: tick, meter: freeText(60), ohms: freeText(4000) })
  .catchall(z.string());
export type MeasurementForm = z.output<typeof measurementForm>;
