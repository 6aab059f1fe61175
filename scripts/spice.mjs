// Runs netlists through ngspice, the reference that checks of circuits are held against: a JSON list of netlists on
// standard input, for each the last value of every vector on standard output. A process of its own, since the
// engine puts a window into the global scope.
import { Simulation } from 'eecircuit-engine';

let text = '';
for await (const chunk of process.stdin) text += chunk;

const simulation = new Simulation();
await simulation.start();
const results = [];
for (const netlist of JSON.parse(text)) {
  simulation.setNetList(netlist);
  const { variableNames, data } = await simulation.runSim();
  results.push(Object.fromEntries(variableNames.map((name, index) => [name, data[index].values.at(-1)])));
}
process.stdout.write(JSON.stringify(results), () => process.exit(0));
