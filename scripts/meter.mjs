// Starts the simulated bench meter alone; name its address under Settings.
import { bin, ensurePackages, must } from './lib.mjs';

await ensurePackages();
await must(bin('tsx'), ['src/server/meter/main.ts']);
