import { startSimulatedMeter } from './simulatedMeter';

/** The port that instruments with a line protocol usually listen on. Common practice, no source. */
const USUAL_PORT = 5025;

startSimulatedMeter({ port: Number(process.env.ZORVEK_METER_PORT ?? USUAL_PORT) })
  .then(({ port }) => {
    process.stdout.write(`The simulated bench meter listens at 127.0.0.1:${port}.\n`);
    process.on('SIGTERM', () => process.exit(0));
  })
  .catch((error: unknown) => {
    process.stderr.write(
      `The simulated meter did not start: ${error instanceof Error ? error.message : String(error)}\n`,
    );
    process.exitCode = 1;
  });
