import type { BuildScript } from './script';

/** What is to be made at Skerry Barn. */
export const BUILDS: readonly BuildScript[] = [
  {
    title: 'Bench charger for lead batteries',
    note: '14.4 V at 5 A from the 19 V bricks that nobody wants.',
    needs: [
      { role: 'switch', filter: 'nmos vds>=100 id>=8', quantity: '1', from: '12N60' },
      { role: 'choke', filter: 'choke l~100u i>=6', quantity: '1' },
      { role: 'output capacitor', filter: 'capacitor c>=1000u v>=16', quantity: '1' },
    ],
  },
  {
    title: 'Pump supply for the cistern, 12 V 6 A',
    note: 'Runs off the panel on the net loft.',
    needs: [
      { role: 'rectifier', filter: 'dual-diode vr>=45 if>=15', quantity: '1', from: 'MBR2045CT' },
      { role: 'bridge', filter: 'bridge vr>=600', quantity: '1', from: 'GBU806', builtIn: true },
      { role: 'output capacitor', filter: 'capacitor c~2200u v>=10', quantity: '1' },
    ],
  },
  {
    title: 'Reading lamp, 24 V to 48 V at 0.8 A',
    note: 'A boost converter for the old ship’s lamp.',
    needs: [
      { role: 'switch', filter: 'nmos vds>=100 rds<0.3', quantity: '1' },
      { role: 'rectifier', filter: 'dual-diode schottky vr>=100 if>=5', quantity: '1' },
      { role: 'output capacitor', filter: 'capacitor c>=100u v>=63', quantity: '1' },
      { role: 'input capacitor', filter: 'electrolytic 100u for 24V 0.5A ripple 40C', quantity: '1' },
    ],
  },
];
