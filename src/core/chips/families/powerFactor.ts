import { describe, type ChipRow } from '../describe';

const TRANSITION = 'INV COMP MULT CS ZCD GND GD VCC';
const AVERAGE = 'GND PKLMT CAOUT ISENSE MULTOUT IAC VAOUT VRMS VREF ENA VSENSE RSET SS CT VCC GTDRV';
const TELL_ZCD = [5, 'a resistor to a winding of the boost choke tells a transition-mode corrector'] as const;

/** Power factor correctors, and those joined with a main converter. From memory. */
// One row a family, wrapped to be read beside a datasheet.
// oxfmt-ignore
const ROWS: readonly ChipRow[] = [
  { id: 'L6561', role: 'pfc', is: 'transition-mode power factor corrector',
    names: 'L6560 L6561 L6561D', packages: 'DIP-8, SO-8', pins: TRANSITION, start: [12, 9.5, 18],
    feedback: 2.5, topologies: 'boost-pfc', tells: TELL_ZCD,
    unlike: [
      { names: 'FAN7527 FAN7527B', pins: TRANSITION, start: [11.5, 8.5] },
      { names: 'KA7526', pins: TRANSITION },
    ] },
  { id: 'L6562', role: 'pfc', is: 'transition-mode power factor corrector',
    names: 'L6562 L6562D L6562N', packages: 'DIP-8, SO-8', pins: TRANSITION, start: [12, 9.5, 18],
    feedback: 2.5, topologies: 'boost-pfc', tells: TELL_ZCD,
    unlike: [
      { names: 'L6562A L6562AT', pins: TRANSITION, start: [12.5, 10, 22], feedback: 2.5 },
      { names: 'L6564', packages: 'SSOP-10', legs: 10 },
    ] },
  { id: 'L6563', role: 'pfc', is: 'transition-mode power factor corrector with links to the main converter',
    names: 'L6563 L6563A L6563S', packages: 'SO-14',
    pins: 'INV COMP MULT CS VFF TBO PFC_OK PWM_LATCH PWM_STOP RUN ZCD GND GD VCC', start: [12, 9.5], feedback: 2.5,
    topologies: 'boost-pfc', tells: [11, 'a resistor to a winding of the boost choke'],
    unlike: [
      { names: 'L6563H', packages: 'SO-16', legs: 16 },
    ] },
  { id: 'MC34262', role: 'pfc', is: 'transition-mode power factor corrector',
    names: 'MC34262 MC33262 MC34261', packages: 'DIP-8, SO-8',
    pins: 'VFB COMP MULT CS ZCD GND DRV VCC', start: [13, 8, 30], feedback: 2.5, topologies: 'boost-pfc',
    tells: TELL_ZCD,
    unlike: [
      { names: 'TDA4862 TDA4863 UCC38050', pins: 'VFB COMP MULT CS ZCD GND DRV VCC' },
    ] },
  { id: 'FAN7530', role: 'pfc', is: 'transition-mode power factor corrector in voltage mode',
    names: 'FAN7530', packages: 'DIP-8, SO-8', pins: 'INV MOT COMP CS ZCD GND OUT VCC',
    start: [12, 8.5], feedback: 2.5, topologies: 'boost-pfc', tells: TELL_ZCD, fair: true,
    unlike: [
      { names: 'FAN7529' },
      { names: 'FAN7930', pins: 'INV RDY COMP CS ZCD GND OUT VCC', does: { 2: 'signal' } },
      { names: 'SG6961 FAN6961', pins: 'INV COMP MOT CS ZCD GND GD VCC' },
    ] },
  { id: 'NCP1606', role: 'pfc', is: 'transition-mode power factor corrector in voltage mode',
    names: 'NCP1606 NCP1606B NCP1607 NCP1608 NCP1608B', packages: 'SO-8, DIP-8',
    pins: 'FB COMP CT CS ZCD GND DRV VCC', start: [12, 9.5], feedback: 2.5, topologies: 'boost-pfc',
    tells: TELL_ZCD },
  { id: 'NCP1653', role: 'pfc', is: 'continuous-mode power factor corrector', names: 'NCP1653 NCP1653A',
    packages: 'SO-8, DIP-8', pins: 'FB VCTRL IN CS VM GND DRV VCC', does: { 3: 'line-sense' }, start: [13.25, 8.7],
    topologies: 'boost-pfc', tells: [4, 'a resistor to the negative side of the shunt'], fair: true },
  { id: 'NCP1654', role: 'pfc', is: 'continuous-mode power factor corrector', names: 'NCP1654 NCP1654B',
    packages: 'SO-8', pins: 'GND VM CS BO VCTRL FB VCC DRV', start: [10.5, 9], feedback: 2.5, topologies: 'boost-pfc',
    tells: [3, 'a resistor to the negative side of the shunt'], fair: true },
  { id: 'UC3854', role: 'pfc', is: 'average-current power factor corrector',
    names: 'UC3854 UC2854 UC1854', cores: '3854', packages: 'DIP-16, SO-16',
    pins: AVERAGE, start: [16, 10], reference: 7.5,
    duty: 0.95, oscillator: { factor: 1.25, message: 'f = 1.25 / (RSET·CT), RSET on pin 12, CT on pin 14' },
    feedback: 7.5, topologies: 'boost-pfc', tells: [6, 'megohms to the rectified mains'],
    unlike: [
      { names: 'UC3854A UC2854A', pins: AVERAGE, start: [16, 10], feedback: 3, reference: 7.5, duty: 0.95 },
      { names: 'UC3854B UC2854B', pins: AVERAGE, start: [10.5, 10], feedback: 3, reference: 7.5, duty: 0.95 },
    ] },
  { id: 'UC3852', role: 'pfc', is: 'power factor corrector with fixed on-time', names: 'UC3852 UC2852', packages: 'DIP-8, SO-8',
    legs: 8, topologies: 'boost-pfc', fair: true },
  { id: 'UCC3817', role: 'pfc', is: 'average-current power factor corrector',
    names: 'UCC3817 UCC2817 UCC3818 UCC2818', packages: 'DIP-16, SO-16',
    pins: 'GND PKLMT CAOUT CAI MULTOUT IAC VAOUT VFF VREF OVP VSENSE RT SS CT VCC DRVOUT', reference: 7.5, topologies: 'boost-pfc',
    tells: [6, 'megohms to the rectified mains'], fair: true,
    unlike: [
      { names: 'UCC28180', pins: 'GND ICOMP ISENSE FREQ VCOMP VSENSE VCC GATE', packages: 'SO-8', start: [11.5, 9.5], feedback: 5 },
    ] },
  { id: 'ICE1PCS01', role: 'pfc', is: 'continuous-mode power factor corrector without line sensing',
    names: 'ICE1PCS01 ICE2PCS01 ICE2PCS05', packages: 'DIP-8, SO-8',
    pins: 'GND ICOMP ISENSE FREQ VCOMP VSENSE VCC GATE', start: [11.2, 10.2], duty: 0.95, topologies: 'boost-pfc',
    tells: [3, 'a resistor to the negative side of the shunt'], fair: true,
    unlike: [
      { names: 'ICE1PCS02 ICE2PCS02', pins: 'GND ICOMP ISENSE VINS VCOMP VSENSE VCC GATE' },
      { names: 'ICE3PCS03' },
    ] },
  { id: 'UCC28019', role: 'pfc', is: 'continuous-mode power factor corrector', names: 'UCC28019 UCC28019A',
    packages: 'DIP-8, SO-8', pins: 'GND ICOMP ISENSE VINS VCOMP VSENSE VCC GATE', start: [10.5, 9.5], duty: 0.97,
    frequency: 65e3, feedback: 5, topologies: 'boost-pfc', tells: [3, 'a resistor to the negative side of the shunt'],
    fair: true },
  { id: 'IR1150', role: 'pfc', is: 'one-cycle continuous-mode power factor corrector',
    names: 'IR1150 IR1150S', packages: 'SO-8, DIP-8', pins: 'COM FREQ ISNS OVP COMP VFB VCC GATE',
    feedback: 7, topologies: 'boost-pfc', tells: [3, 'a resistor to the negative side of the shunt'], fair: true,
    unlike: [
      { names: 'IR1152 IR1155' },
    ] },
  { id: 'ML4800', role: 'combo', is: 'power factor corrector and forward controller in one',
    names: 'ML4800 FAN4800 FAN4800A FAN4800I', packages: 'DIP-16, SO-16',
    pins: 'IEAO IAC ISENSE VRMS SS VDC RAMP1 RAMP2 DCILIM GND PWMOUT PFCOUT VCC VREF VFB VEAO',
    does: { 6: 'feedback' }, start: [13, 10], duty: 0.5, feedback: 2.5, reference: 7.5, topologies: 'boost-pfc two-switch-forward',
    tells: [11, 'PWMOUT and PFCOUT beside it lead to two stages'],
    unlike: [
      { names: 'FAN4801' },
      { names: 'CM6800 CM6800A' },
      { names: 'CM6802' },
      { names: 'CM6805 CM6806', packages: 'SO-10', legs: 10 },
    ] },
  { id: 'ML4824', role: 'combo', is: 'power factor corrector and main controller in one',
    names: 'ML4824 ML4824-1', packages: 'DIP-16, SO-16',
    pins: 'IEAO IAC ISENSE VRMS SS VDC RAMP1 RAMP2 DCILIM GND PWMOUT PFCOUT VCC VREF VFB VEAO',
    does: { 6: 'feedback' }, start: [13, 10], duty: 0.5, reference: 7.5, topologies: 'boost-pfc two-switch-forward',
    tells: [11, 'PWMOUT and PFCOUT beside it lead to two stages'], fair: true,
    unlike: [
      { names: 'FAN4822', packages: 'DIP-14', legs: 14 },
      { names: 'CM6903', packages: 'SIP-9', legs: 9 },
    ] },
];

export const POWER_FACTOR = ROWS.flatMap(describe);
