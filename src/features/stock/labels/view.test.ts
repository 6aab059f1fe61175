import { makeCode } from '../../../core/ident';
import { aShop } from '../../../db/testing/aShop';
import { temporaryContext } from '../../../db/testing/temporaryContext';
import { lotLabels } from './view.server';

test('what was measured of a lot stands on its label, by its name, before what is printed on it', async () => {
  const fixture = await temporaryContext();
  const code = makeCode('lot', [0.1, 0.2, 0.3, 0.4, 0.5]);
  await aShop(fixture.app, {
    lots: [
      {
        code,
        kind: 'capacitor',
        marking: '',
        bin: 'A2',
        pieces: 1,
        ratings: {
          capacitance: [470e-6, 'measured'],
          voltage: [35, 'decoded'],
          temperature: [105, 'decoded'],
          esr: [0.062, 'measured'],
        },
      },
    ],
  });
  const [label] = await lotLabels(fixture.app, [code], 'http://barn.example', '90x38');
  fixture.dispose();
  expect(label?.svg.replace(/\u00a0/g, ' ')).toContain('470 µF  ESR 62 mΩ  35 V');
});
