/** A board of the scenario as it truly is: what beeps together, net by net, and what reads through a part. */
export interface SceneBoard {
  readonly model: string;
  /** Pins that are one net, such as `Q1.D T1.2 D3.A`. */
  readonly nets: readonly string[];
  /** Windings by their pins with the ohms from the first to the last, such as `T1.1 T1.2 1.2`. */
  readonly windings: readonly string[];
}

/** A flyback of 24 V; the feedback chain hangs on a trimmer. */
export const LABEL_PRINTER: SceneBoard = {
  model: 'VK-2402',
  nets: [
    'J1.L F1.1',
    'F1.2 CX1.1 L1.1',
    'J1.N CX1.2 L1.3',
    'L1.2 NTC1.1',
    'NTC1.2 BR1.AC1',
    'L1.4 BR1.AC2',
    'BR1.+ C3.+ R4.1 R14.2 T1.1',
    'T1.2 Q1.D D3.A',
    'D3.K R14.1',
    'Q1.S R9.1 U1.6',
    'Q1.G U1.4',
    'R4.2 U1.5',
    'BR1.- C3.- R9.2 U1.2 U2.E T1.4 CY1.1',
    'U2.C U1.3',
    'T1.7 D8.A1 D8.A2',
    'D8.K C21.+ L5.1',
    'L5.2 C22.+ R12.1 J2.1',
    'T1.9 C21.- C22.- C23.- U3.A RP1.2 J2.2 CY1.2',
    'R12.2 RP1.1 U2.A C23.+',
    'U3.K U2.K',
    'U3.R RP1.W',
  ],
  windings: ['T1.1 T1.2 1.2', 'T1.3 T1.4 0.4', 'T1.7 T1.9 0.03', 'L1.1 L1.2 0.2', 'L1.3 L1.4 0.2', 'L5.1 L5.2 0.05'],
};

/** A flyback of 19 V with a controller in SO-8 and a divider for 2.5 V. */
export const NOTEBOOK_BRICK: SceneBoard = {
  model: 'TB-1990',
  nets: [
    'J1.L F1.1',
    'F1.2 CX1.1 L1.1 R4.1',
    'J1.N CX1.2 L1.3 R5.2',
    'R4.2 R5.1',
    'L1.2 NTC1.1',
    'NTC1.2 BR1.AC1',
    'L1.4 BR1.AC2',
    'BR1.+ C3.+ T1.1 R14.1 C14.1 R6.1 R7.1',
    'R14.2 C14.2 D3.K',
    'D3.A T1.3 Q1.D',
    'Q1.G R10.2',
    'R10.1 U1.6',
    'Q1.S R9.1 U1.3',
    'BR1.- C3.- R9.2 R7.2 U1.5 U1.2 T1.5 C4.- U2.E CY1.1 C17.1',
    'U1.1 U2.C',
    'U1.4 R17.2 C17.2',
    'U1.8 R17.1',
    'T1.4 D4.A',
    'D4.K C4.+ U1.7 R6.2',
    'T1.8 D8.A1 D8.A2',
    'D8.K C21.+ C22.+ J2.1 R12.1 R15.1',
    'T1.10 C21.- C22.- J2.2 U3.A R16.2 CY1.2',
    'R12.2 U2.A',
    'U2.K U3.K C15.1',
    'C15.2 U3.R R15.2 R16.1',
  ],
  windings: ['T1.1 T1.3 0.9', 'T1.4 T1.5 0.3', 'T1.8 T1.10 0.02', 'L1.1 L1.2 0.15', 'L1.3 L1.4 0.15'],
};

/** A half-bridge of 300 W behind a doubler with its selector; the bases are driven through T2. */
export const PC_SUPPLY: SceneBoard = {
  model: 'GT-300S',
  nets: [
    'J1.L F1.1',
    'F1.2 CX1.1 L2.1 R3.1',
    'J1.N CX1.2 L2.3 R3.2',
    'L2.2 BR1.AC1',
    'L2.4 BR1.AC2 J3.1',
    'BR1.+ C1.+ R1.1 Q1.C D1.K',
    'C1.- C2.+ R1.2 R2.1 C10.1 J3.2',
    'BR1.- C2.- R2.2 Q2.E D2.A T2.6',
    'C10.2 T1.1',
    'T1.2 Q1.E Q2.C D1.A D2.K T2.4',
    'T2.3 R11.1',
    'R11.2 Q1.B',
    'T2.5 R12.1',
    'R12.2 Q2.B',
    'T2.7 Q3.C',
    'T2.9 Q4.C',
    'T2.8 R13.2',
    'T1.5 D22.A1',
    'T1.7 D22.A2',
    'T1.9 D21.A1',
    'T1.10 D21.A2',
    'D22.K L1.1',
    'L1.2 C21.+ R31.1 D24.A J2.1',
    'D21.K L3.1',
    'L3.2 C22.+ C23.+ R15.1 J2.2',
    'T1.8 C21.- C22.- C23.- R31.2 J2.3 U1.7 Q3.E Q4.E R14.2 C24.- R19.2 C25.2 U1.16 U1.4',
    'D24.K C24.+ U1.12 U1.8 U1.11 R13.1',
    'U1.1 R14.1 R15.2',
    'U1.9 Q3.B',
    'U1.10 Q4.B',
    'U1.14 U1.15 U1.13 R17.1',
    'U1.2 R17.2 R18.1',
    'U1.3 R18.2',
    'U1.5 C25.1',
    'U1.6 R19.1',
  ],
  windings: [
    'T1.1 T1.2 0.6',
    'T1.5 T1.9 T1.8 T1.10 T1.7 0.01',
    'T2.3 T2.4 0.3',
    'T2.5 T2.6 0.3',
    'T2.7 T2.8 T2.9 1.4',
    'L2.1 L2.2 0.2',
    'L2.3 L2.4 0.2',
    'L1.1 L1.2 0.01',
    'L3.1 L3.2 0.01',
  ],
};

/** A step-down converter on the mains without isolation. */
export const OVEN_BOARD: SceneBoard = {
  model: 'OC-7',
  nets: [
    'J1.L R1.1',
    'R1.2 D1.A',
    'D1.K C2.+ U1.5',
    'J1.N C2.- D2.A C3.- J2.2',
    'U1.1 U1.2 U1.7 U1.8 D2.K L1.1',
    'L1.2 C3.+ J2.1 K1.1',
    'K1.2 J2.3',
  ],
  windings: ['L1.1 L1.2 3.1'],
};

/** A capacitor in series with the mains feeds a relay. */
export const PORCH_SENSOR: SceneBoard = {
  model: 'PL-3',
  nets: [
    'J1.L F1.1',
    'F1.2 RV1.1 K1.3 R5.1',
    'R5.2 C1.1 R1.1',
    'C1.2 R1.2 R2.1',
    'R2.2 BR1.AC1',
    'J1.N RV1.2 BR1.AC2 J2.2',
    'BR1.+ ZD1.K C2.+ K1.1 D2.K R3.1',
    'BR1.- ZD1.A C2.- Q1.E U1.8 C3.- ZD2.A',
    'K1.2 D2.A Q1.C',
    'R3.2 C3.+ ZD2.K U1.1',
    'U1.5 R4.1',
    'R4.2 Q1.B',
    'K1.4 J2.1',
  ],
  windings: ['K1.1 K1.2 1600'],
};

/** A flyback of 12 V after a repair: one capacitor went in the wrong way round, and nothing empties the X capacitor. */
export const TIDE_GAUGE: SceneBoard = {
  model: 'BS-12',
  nets: [
    'J1.L F1.1',
    'F1.2 CX1.1 BR1.AC1',
    'J1.N CX1.2 BR1.AC2',
    'BR1.+ C1.+ T1.1 R3.1 C2.1 R1.1 R5.1',
    'R3.2 C2.2 D1.K',
    'D1.A T1.2 U1.5 U1.6',
    'BR1.- C1.- R5.2 U1.3 T1.4 C3.- U2.E CY1.1',
    'R1.2 U1.2 C3.+ D2.K',
    'T1.3 D2.A',
    'U1.1 U2.C',
    'T1.6 D3.A',
    'D3.K C4.+ L1.1',
    'L1.2 C5.- R4.1 R6.1 J2.1',
    'T1.8 C4.- C5.+ U3.A R7.2 J2.2 CY1.2',
    'R4.2 U2.A',
    'U2.K U3.K',
    'U3.R R6.2 R7.1',
  ],
  windings: ['T1.1 T1.2 2.4', 'T1.3 T1.4 0.5', 'T1.6 T1.8 0.06', 'L1.1 L1.2 0.03'],
};

/** A power factor stage and a resonant half-bridge of 204 W. */
export const CONSOLE: SceneBoard = {
  model: 'OS-204',
  nets: [
    'J1.L F1.1',
    'F1.2 VR1.1 NTC1.1',
    'J1.N VR1.2 BR1.AC2',
    'NTC1.2 BR1.AC1',
    'BR1.+ L1.1',
    'L1.2 Q1.D D1.A',
    'D1.K C5.+ Q2.D',
    'Q1.S R5.1',
    'BR1.- R5.2 C5.- Q3.S C11.2 U1.10',
    'Q2.S Q3.D T1.1 U1.14',
    'Q2.G U1.15',
    'Q3.G U1.11',
    'T1.2 C11.1',
    'T1.6 D31.A1 D31.A2',
    'T1.8 D32.A1 D32.A2',
    'D31.K D32.K C31.+ C32.+ J2.1',
    'T1.7 C31.- C32.- J2.2',
  ],
  windings: ['T1.1 T1.2 0.3', 'T1.6 T1.7 T1.8 0.004', 'L1.1 L1.2 0.1'],
};

export const SCENE_BOARDS: readonly SceneBoard[] = [
  LABEL_PRINTER,
  NOTEBOOK_BRICK,
  PC_SUPPLY,
  OVEN_BOARD,
  PORCH_SENSOR,
  TIDE_GAUGE,
  CONSOLE,
];
