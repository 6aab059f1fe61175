import { describe, type ChipRow } from '../describe';

const HALF_BRIDGE = [7, 'with 6 and 8 it settles the high side of a half-bridge'] as const;

/** Gate drivers, synchronous rectifier controllers and X-capacitor dischargers. From memory. */
// One row a family, wrapped to be read beside a datasheet.
// oxfmt-ignore
const ROWS: readonly ChipRow[] = [
  { id: 'IR2153', role: 'gate-driver', is: 'self-oscillating half-bridge driver of ballasts and small supplies',
    names: 'IR2151 IR2152 IR2153 IR2153D IR2155 IR21531 IR25D', packages: 'DIP-8, SO-8',
    pins: 'VCC RT CT COM LO VS HO VB', start: [9, 8], duty: 0.5,
    oscillator: { factor: 0.72, message: 'f = 1 / (1.4·(RT + 75 Ω)·CT), RT on pin 2, CT on pin 3' },
    topologies: 'resonant-ballast half-bridge llc-half-bridge', tells: HALF_BRIDGE,
    unlike: [
      { names: 'IRS2153D', pins: 'VCC RT CT COM LO VS HO VB', start: [11, 9], duty: 0.5 },
      { names: 'FAN7387' },
      { names: 'FAN7388', packages: 'SO-20', legs: 20, is: 'three-phase half-bridge driver' },
    ] },
  { id: 'IR2110', role: 'gate-driver', is: 'high and low side driver, 500 V, 2 A',
    names: 'IR2110 IR2113 IRS2110 IRS2113 IR2112', packages: 'DIP-14',
    pins: 'LO COM VCC NC VS VB HO NC VDD HIN SD LIN VSS NC', does: { 9: 'supply' }, start: [8.5, 8.2],
    topologies: 'half-bridge full-bridge two-switch-forward', tells: [7, 'with 5 and 6 it settles the high side'],
    cases: { 'SO-16': '' } },
  { id: 'IR2104', role: 'gate-driver', is: 'half-bridge driver with its own dead time',
    names: 'IR2104 IRS2104 NCP5104', packages: 'DIP-8, SO-8', pins: 'VCC IN SD COM LO VS HO VB',
    start: [8.9, 8.2], topologies: 'half-bridge buck', tells: HALF_BRIDGE,
    unlike: [
      { names: 'FAN7380' },
      { names: 'L6384 L6384E', pins: 'IN VCC DT/SD GND LVG OUT HVG VBOOT', does: { 1: 'input', 6: 'midpoint' } },
    ] },
  { id: 'IR2101', role: 'gate-driver', is: 'high and low side driver without dead time',
    names: 'IR2101 IR2102 IR2103 IR2106 IRS2101 IRS2103 IR2108 FAN7382',
    packages: 'DIP-8, SO-8', pins: 'VCC HIN LIN COM LO VS HO VB', start: [8.9, 8.2],
    topologies: 'half-bridge full-bridge two-switch-forward', tells: HALF_BRIDGE,
    unlike: [
      { names: 'NCP5181' },
      { names: 'L6385 L6385E L6387 L6388E', pins: 'LIN HIN VCC GND LVG OUT HVG VBOOT', does: { 6: 'midpoint' } },
    ] },
  { id: 'IR2111', role: 'gate-driver', is: 'half-bridge driver with one input', names: 'IR2111 IRS2111',
    packages: 'DIP-8, SO-8', pins: 'VCC IN COM LO NC VS HO VB', start: [8.6, 8.2], topologies: 'half-bridge',
    tells: HALF_BRIDGE },
  { id: 'IR2184', role: 'gate-driver', is: 'half-bridge driver, 1.4 A', names: 'IR2184 IRS2184',
    packages: 'DIP-8, SO-8', pins: 'IN SD COM LO VCC VS HO VB', start: [8.9, 8.2], topologies: 'half-bridge',
    tells: HALF_BRIDGE, fair: true,
    unlike: [
      { names: 'IR2183 IR2181 IRS2181', pins: 'HIN LIN COM LO VCC VS HO VB' },
    ] },
  { id: 'TC4427', role: 'gate-driver', is: 'dual low-side driver, 1.5 A and more',
    names: 'TC4426 TC4427 TC4428 TC426 TC427 TC428 MIC4426 MIC4427 UCC27324 UCC37324 ICL7667',
    cores: '4427 4426 27324', packages: 'DIP-8, SO-8', pins: 'NC INA GND INB OUTB VDD OUTA NC', range: [4.5, 18],
    topologies: 'push-pull full-bridge', tells: [7, 'outputs 5 and 7 lead to gates or a drive transformer'],
    unlike: [
      { names: 'UCC27424', pins: 'EN INA GND INB OUTB VDD OUTA EN', does: { 1: 'enable', 8: 'enable' } },
      { names: 'TPS2812' },
    ] },
  { id: 'TC4420', role: 'gate-driver', is: 'single low-side driver, 6 A',
    names: 'TC4420 TC4429 TC4421 TC4422 MIC4420 MIC4429', packages: 'DIP-8, SO-8',
    pins: 'VDD IN NC GND GND OUT OUT VDD', range: [4.5, 18], topologies: 'boost boost-pfc flyback',
    tells: [6, 'two joined outputs lead to a gate'], fair: true,
    unlike: [
      { names: 'UCC27321 UCC27322', pins: 'VDD IN EN GND GND OUT OUT VDD', does: { 3: 'enable' } },
    ] },
  { id: 'TLP250', role: 'gate-driver', is: 'isolated gate driver with optocoupler',
    names: 'TLP250 HCPL-3120 HCPL3120 FOD3120 A3120', packages: 'DIP-8',
    pins: 'NC LED+ LED- NC GND VO VO VCC', does: { 6: 'gate', 7: 'gate' }, range: [10, 30],
    topologies: 'half-bridge full-bridge',
    tells: [6, 'it leads to one gate; its ground rides on that switch’s source'],
    unlike: [
      { names: 'TLP350 TLP351', pins: 'NC LED+ LED- NC GND VO NC VCC', does: { 6: 'gate' } },
      { names: 'TLP152', packages: 'SOP-6', legs: 6 },
      { names: 'PC923 FOD3180' },
    ] },
  { id: 'IR1167', role: 'sync-rectifier', is: 'synchronous rectifier controller of one FET',
    names: 'IR1166 IR1167 IR1167A IR1167B IR11672', packages: 'SO-8, DIP-8',
    pins: 'VCC OVT MOT EN VD VS GND VGATE', does: { 6: 'source' }, topologies: 'flyback llc-half-bridge',
    tells: [5, 'it senses the drain of the rectifying FET'],
    unlike: [
      { names: 'IR1168', is: 'synchronous rectifier controller of two FETs' },
      { names: 'IR1169' },
    ] },
  { id: 'NCP4303', role: 'sync-rectifier', is: 'synchronous rectifier controller of one FET',
    names: 'NCP4303 NCP4303A NCP4304', packages: 'SO-8',
    pins: 'VCC MIN_TOFF MIN_TON TRIG CS COMP GND DRV', does: { 4: 'enable' }, topologies: 'flyback llc-half-bridge',
    tells: [5, 'it senses the drain of the rectifying FET'], fair: true,
    unlike: [
      { names: 'NCP4302 NCP4305' },
    ] },
  { id: 'UCC24610', role: 'sync-rectifier', is: 'synchronous rectifier controller for low voltages',
    names: 'UCC24610', packages: 'SO-8', pins: 'SYNC EN TON VCC GATE GND VS VD', does: { 7: 'source' },
    topologies: 'flyback', tells: [8, 'it senses the drain of the rectifying FET'], fair: true },
  { id: 'TEA1791', role: 'sync-rectifier', is: 'synchronous rectifier controller; pins not remembered',
    names: 'TEA1791 TEA1792 TEA1795 SRK2000 SRK2001 MP6902 MP6922 FAN6204 OB2002', packages: 'SO-8', legs: 8,
    topologies: 'flyback llc-half-bridge', fair: true },
  { id: 'CAP0xx', role: 'x-discharge',
    is: 'discharger of X capacitors: blocks current while the mains is there; pins not remembered',
    names: 'CAP002 CAP003 CAP004 CAP005 CAP006 CAP007 CAP008 CAP009 CAP012 CAP013 CAP014 CAP015 CAP018 CAP019',
    suffixes: 'DG: SO-8', packages: 'SO-8', legs: 8, topologies: '', fair: true },
  { id: 'NCP4810', role: 'x-discharge', is: 'discharger of X capacitors; pins not remembered',
    names: 'NCP4810 TEA1708 HF81 HF82', packages: 'SO-8', legs: 8, topologies: '', fair: true },
];

export const DRIVERS = ROWS.flatMap(describe);
