// Written by scripts/unroll.mjs: not by hand.

function carry2(a: Float64Array, x: Float64Array, y: Float64Array): void {
  const x0 = x[0]!;
  const x1 = x[1]!;
  y[0] = x0 + (a[0]! * x0 + a[1]! * x1);
  y[1] = x1 + (a[2]! * x0 + a[3]! * x1);
}

function project2(a: Float64Array, count: number, x: Float64Array, y: Float64Array): void {
  const x0 = x[0]!;
  const x1 = x[1]!;
  for (let r = 0, at = 0; r < count; r += 1, at += 2) y[r] = a[at + 0]! * x0 + a[at + 1]! * x1;
}

function multiply2(a: Float64Array, b: Float64Array, c: Float64Array): void {
  for (let at = 0; at < 4; at += 2) {
    const a0 = a[at + 0]!;
    const a1 = a[at + 1]!;
    for (let k = 0; k < 2; k += 1) c[at + k] = a0 * b[k + 0]! + a1 * b[k + 2]!;
  }
}

function carry3(a: Float64Array, x: Float64Array, y: Float64Array): void {
  const x0 = x[0]!;
  const x1 = x[1]!;
  const x2 = x[2]!;
  y[0] = x0 + (a[0]! * x0 + a[1]! * x1 + a[2]! * x2);
  y[1] = x1 + (a[3]! * x0 + a[4]! * x1 + a[5]! * x2);
  y[2] = x2 + (a[6]! * x0 + a[7]! * x1 + a[8]! * x2);
}

function project3(a: Float64Array, count: number, x: Float64Array, y: Float64Array): void {
  const x0 = x[0]!;
  const x1 = x[1]!;
  const x2 = x[2]!;
  for (let r = 0, at = 0; r < count; r += 1, at += 3) y[r] = a[at + 0]! * x0 + a[at + 1]! * x1 + a[at + 2]! * x2;
}

function multiply3(a: Float64Array, b: Float64Array, c: Float64Array): void {
  for (let at = 0; at < 9; at += 3) {
    const a0 = a[at + 0]!;
    const a1 = a[at + 1]!;
    const a2 = a[at + 2]!;
    for (let k = 0; k < 3; k += 1) c[at + k] = a0 * b[k + 0]! + a1 * b[k + 3]! + a2 * b[k + 6]!;
  }
}

function carry4(a: Float64Array, x: Float64Array, y: Float64Array): void {
  const x0 = x[0]!;
  const x1 = x[1]!;
  const x2 = x[2]!;
  const x3 = x[3]!;
  y[0] = x0 + (a[0]! * x0 + a[1]! * x1 + (a[2]! * x2 + a[3]! * x3));
  y[1] = x1 + (a[4]! * x0 + a[5]! * x1 + (a[6]! * x2 + a[7]! * x3));
  y[2] = x2 + (a[8]! * x0 + a[9]! * x1 + (a[10]! * x2 + a[11]! * x3));
  y[3] = x3 + (a[12]! * x0 + a[13]! * x1 + (a[14]! * x2 + a[15]! * x3));
}

function project4(a: Float64Array, count: number, x: Float64Array, y: Float64Array): void {
  const x0 = x[0]!;
  const x1 = x[1]!;
  const x2 = x[2]!;
  const x3 = x[3]!;
  for (let r = 0, at = 0; r < count; r += 1, at += 4)
    y[r] = a[at + 0]! * x0 + a[at + 1]! * x1 + (a[at + 2]! * x2 + a[at + 3]! * x3);
}

function multiply4(a: Float64Array, b: Float64Array, c: Float64Array): void {
  for (let at = 0; at < 16; at += 4) {
    const a0 = a[at + 0]!;
    const a1 = a[at + 1]!;
    const a2 = a[at + 2]!;
    const a3 = a[at + 3]!;
    for (let k = 0; k < 4; k += 1) c[at + k] = a0 * b[k + 0]! + a1 * b[k + 4]! + (a2 * b[k + 8]! + a3 * b[k + 12]!);
  }
}

function carry5(a: Float64Array, x: Float64Array, y: Float64Array): void {
  const x0 = x[0]!;
  const x1 = x[1]!;
  const x2 = x[2]!;
  const x3 = x[3]!;
  const x4 = x[4]!;
  y[0] = x0 + (a[0]! * x0 + a[1]! * x1 + a[2]! * x2 + (a[3]! * x3 + a[4]! * x4));
  y[1] = x1 + (a[5]! * x0 + a[6]! * x1 + a[7]! * x2 + (a[8]! * x3 + a[9]! * x4));
  y[2] = x2 + (a[10]! * x0 + a[11]! * x1 + a[12]! * x2 + (a[13]! * x3 + a[14]! * x4));
  y[3] = x3 + (a[15]! * x0 + a[16]! * x1 + a[17]! * x2 + (a[18]! * x3 + a[19]! * x4));
  y[4] = x4 + (a[20]! * x0 + a[21]! * x1 + a[22]! * x2 + (a[23]! * x3 + a[24]! * x4));
}

function project5(a: Float64Array, count: number, x: Float64Array, y: Float64Array): void {
  const x0 = x[0]!;
  const x1 = x[1]!;
  const x2 = x[2]!;
  const x3 = x[3]!;
  const x4 = x[4]!;
  for (let r = 0, at = 0; r < count; r += 1, at += 5)
    y[r] = a[at + 0]! * x0 + a[at + 1]! * x1 + a[at + 2]! * x2 + (a[at + 3]! * x3 + a[at + 4]! * x4);
}

function multiply5(a: Float64Array, b: Float64Array, c: Float64Array): void {
  for (let at = 0; at < 25; at += 5) {
    const a0 = a[at + 0]!;
    const a1 = a[at + 1]!;
    const a2 = a[at + 2]!;
    const a3 = a[at + 3]!;
    const a4 = a[at + 4]!;
    for (let k = 0; k < 5; k += 1)
      c[at + k] = a0 * b[k + 0]! + a1 * b[k + 5]! + a2 * b[k + 10]! + (a3 * b[k + 15]! + a4 * b[k + 20]!);
  }
}

function carry6(a: Float64Array, x: Float64Array, y: Float64Array): void {
  const x0 = x[0]!;
  const x1 = x[1]!;
  const x2 = x[2]!;
  const x3 = x[3]!;
  const x4 = x[4]!;
  const x5 = x[5]!;
  y[0] = x0 + (a[0]! * x0 + a[1]! * x1 + a[2]! * x2 + (a[3]! * x3 + a[4]! * x4 + a[5]! * x5));
  y[1] = x1 + (a[6]! * x0 + a[7]! * x1 + a[8]! * x2 + (a[9]! * x3 + a[10]! * x4 + a[11]! * x5));
  y[2] = x2 + (a[12]! * x0 + a[13]! * x1 + a[14]! * x2 + (a[15]! * x3 + a[16]! * x4 + a[17]! * x5));
  y[3] = x3 + (a[18]! * x0 + a[19]! * x1 + a[20]! * x2 + (a[21]! * x3 + a[22]! * x4 + a[23]! * x5));
  y[4] = x4 + (a[24]! * x0 + a[25]! * x1 + a[26]! * x2 + (a[27]! * x3 + a[28]! * x4 + a[29]! * x5));
  y[5] = x5 + (a[30]! * x0 + a[31]! * x1 + a[32]! * x2 + (a[33]! * x3 + a[34]! * x4 + a[35]! * x5));
}

function project6(a: Float64Array, count: number, x: Float64Array, y: Float64Array): void {
  const x0 = x[0]!;
  const x1 = x[1]!;
  const x2 = x[2]!;
  const x3 = x[3]!;
  const x4 = x[4]!;
  const x5 = x[5]!;
  for (let r = 0, at = 0; r < count; r += 1, at += 6)
    y[r] = a[at + 0]! * x0 + a[at + 1]! * x1 + a[at + 2]! * x2 + (a[at + 3]! * x3 + a[at + 4]! * x4 + a[at + 5]! * x5);
}

function multiply6(a: Float64Array, b: Float64Array, c: Float64Array): void {
  for (let at = 0; at < 36; at += 6) {
    const a0 = a[at + 0]!;
    const a1 = a[at + 1]!;
    const a2 = a[at + 2]!;
    const a3 = a[at + 3]!;
    const a4 = a[at + 4]!;
    const a5 = a[at + 5]!;
    for (let k = 0; k < 6; k += 1)
      c[at + k] =
        a0 * b[k + 0]! + a1 * b[k + 6]! + a2 * b[k + 12]! + (a3 * b[k + 18]! + a4 * b[k + 24]! + a5 * b[k + 30]!);
  }
}

function carry7(a: Float64Array, x: Float64Array, y: Float64Array): void {
  const x0 = x[0]!;
  const x1 = x[1]!;
  const x2 = x[2]!;
  const x3 = x[3]!;
  const x4 = x[4]!;
  const x5 = x[5]!;
  const x6 = x[6]!;
  y[0] = x0 + (a[0]! * x0 + a[1]! * x1 + (a[2]! * x2 + a[3]! * x3) + (a[4]! * x4 + a[5]! * x5 + a[6]! * x6));
  y[1] = x1 + (a[7]! * x0 + a[8]! * x1 + (a[9]! * x2 + a[10]! * x3) + (a[11]! * x4 + a[12]! * x5 + a[13]! * x6));
  y[2] = x2 + (a[14]! * x0 + a[15]! * x1 + (a[16]! * x2 + a[17]! * x3) + (a[18]! * x4 + a[19]! * x5 + a[20]! * x6));
  y[3] = x3 + (a[21]! * x0 + a[22]! * x1 + (a[23]! * x2 + a[24]! * x3) + (a[25]! * x4 + a[26]! * x5 + a[27]! * x6));
  y[4] = x4 + (a[28]! * x0 + a[29]! * x1 + (a[30]! * x2 + a[31]! * x3) + (a[32]! * x4 + a[33]! * x5 + a[34]! * x6));
  y[5] = x5 + (a[35]! * x0 + a[36]! * x1 + (a[37]! * x2 + a[38]! * x3) + (a[39]! * x4 + a[40]! * x5 + a[41]! * x6));
  y[6] = x6 + (a[42]! * x0 + a[43]! * x1 + (a[44]! * x2 + a[45]! * x3) + (a[46]! * x4 + a[47]! * x5 + a[48]! * x6));
}

function project7(a: Float64Array, count: number, x: Float64Array, y: Float64Array): void {
  const x0 = x[0]!;
  const x1 = x[1]!;
  const x2 = x[2]!;
  const x3 = x[3]!;
  const x4 = x[4]!;
  const x5 = x[5]!;
  const x6 = x[6]!;
  for (let r = 0, at = 0; r < count; r += 1, at += 7)
    y[r] =
      a[at + 0]! * x0 +
      a[at + 1]! * x1 +
      (a[at + 2]! * x2 + a[at + 3]! * x3) +
      (a[at + 4]! * x4 + a[at + 5]! * x5 + a[at + 6]! * x6);
}

function multiply7(a: Float64Array, b: Float64Array, c: Float64Array): void {
  for (let at = 0; at < 49; at += 7) {
    const a0 = a[at + 0]!;
    const a1 = a[at + 1]!;
    const a2 = a[at + 2]!;
    const a3 = a[at + 3]!;
    const a4 = a[at + 4]!;
    const a5 = a[at + 5]!;
    const a6 = a[at + 6]!;
    for (let k = 0; k < 7; k += 1)
      c[at + k] =
        a0 * b[k + 0]! +
        a1 * b[k + 7]! +
        (a2 * b[k + 14]! + a3 * b[k + 21]!) +
        (a4 * b[k + 28]! + a5 * b[k + 35]! + a6 * b[k + 42]!);
  }
}

function carry8(a: Float64Array, x: Float64Array, y: Float64Array): void {
  const x0 = x[0]!;
  const x1 = x[1]!;
  const x2 = x[2]!;
  const x3 = x[3]!;
  const x4 = x[4]!;
  const x5 = x[5]!;
  const x6 = x[6]!;
  const x7 = x[7]!;
  y[0] =
    x0 + (a[0]! * x0 + a[1]! * x1 + (a[2]! * x2 + a[3]! * x3) + (a[4]! * x4 + a[5]! * x5 + (a[6]! * x6 + a[7]! * x7)));
  y[1] =
    x1 +
    (a[8]! * x0 + a[9]! * x1 + (a[10]! * x2 + a[11]! * x3) + (a[12]! * x4 + a[13]! * x5 + (a[14]! * x6 + a[15]! * x7)));
  y[2] =
    x2 +
    (a[16]! * x0 +
      a[17]! * x1 +
      (a[18]! * x2 + a[19]! * x3) +
      (a[20]! * x4 + a[21]! * x5 + (a[22]! * x6 + a[23]! * x7)));
  y[3] =
    x3 +
    (a[24]! * x0 +
      a[25]! * x1 +
      (a[26]! * x2 + a[27]! * x3) +
      (a[28]! * x4 + a[29]! * x5 + (a[30]! * x6 + a[31]! * x7)));
  y[4] =
    x4 +
    (a[32]! * x0 +
      a[33]! * x1 +
      (a[34]! * x2 + a[35]! * x3) +
      (a[36]! * x4 + a[37]! * x5 + (a[38]! * x6 + a[39]! * x7)));
  y[5] =
    x5 +
    (a[40]! * x0 +
      a[41]! * x1 +
      (a[42]! * x2 + a[43]! * x3) +
      (a[44]! * x4 + a[45]! * x5 + (a[46]! * x6 + a[47]! * x7)));
  y[6] =
    x6 +
    (a[48]! * x0 +
      a[49]! * x1 +
      (a[50]! * x2 + a[51]! * x3) +
      (a[52]! * x4 + a[53]! * x5 + (a[54]! * x6 + a[55]! * x7)));
  y[7] =
    x7 +
    (a[56]! * x0 +
      a[57]! * x1 +
      (a[58]! * x2 + a[59]! * x3) +
      (a[60]! * x4 + a[61]! * x5 + (a[62]! * x6 + a[63]! * x7)));
}

function project8(a: Float64Array, count: number, x: Float64Array, y: Float64Array): void {
  const x0 = x[0]!;
  const x1 = x[1]!;
  const x2 = x[2]!;
  const x3 = x[3]!;
  const x4 = x[4]!;
  const x5 = x[5]!;
  const x6 = x[6]!;
  const x7 = x[7]!;
  for (let r = 0, at = 0; r < count; r += 1, at += 8)
    y[r] =
      a[at + 0]! * x0 +
      a[at + 1]! * x1 +
      (a[at + 2]! * x2 + a[at + 3]! * x3) +
      (a[at + 4]! * x4 + a[at + 5]! * x5 + (a[at + 6]! * x6 + a[at + 7]! * x7));
}

function multiply8(a: Float64Array, b: Float64Array, c: Float64Array): void {
  for (let at = 0; at < 64; at += 8) {
    const a0 = a[at + 0]!;
    const a1 = a[at + 1]!;
    const a2 = a[at + 2]!;
    const a3 = a[at + 3]!;
    const a4 = a[at + 4]!;
    const a5 = a[at + 5]!;
    const a6 = a[at + 6]!;
    const a7 = a[at + 7]!;
    for (let k = 0; k < 8; k += 1)
      c[at + k] =
        a0 * b[k + 0]! +
        a1 * b[k + 8]! +
        (a2 * b[k + 16]! + a3 * b[k + 24]!) +
        (a4 * b[k + 32]! + a5 * b[k + 40]! + (a6 * b[k + 48]! + a7 * b[k + 56]!));
  }
}

function carry9(a: Float64Array, x: Float64Array, y: Float64Array): void {
  const x0 = x[0]!;
  const x1 = x[1]!;
  const x2 = x[2]!;
  const x3 = x[3]!;
  const x4 = x[4]!;
  const x5 = x[5]!;
  const x6 = x[6]!;
  const x7 = x[7]!;
  const x8 = x[8]!;
  y[0] =
    x0 +
    (a[0]! * x0 +
      a[1]! * x1 +
      a[2]! * x2 +
      (a[3]! * x3 + a[4]! * x4) +
      (a[5]! * x5 + a[6]! * x6 + (a[7]! * x7 + a[8]! * x8)));
  y[1] =
    x1 +
    (a[9]! * x0 +
      a[10]! * x1 +
      a[11]! * x2 +
      (a[12]! * x3 + a[13]! * x4) +
      (a[14]! * x5 + a[15]! * x6 + (a[16]! * x7 + a[17]! * x8)));
  y[2] =
    x2 +
    (a[18]! * x0 +
      a[19]! * x1 +
      a[20]! * x2 +
      (a[21]! * x3 + a[22]! * x4) +
      (a[23]! * x5 + a[24]! * x6 + (a[25]! * x7 + a[26]! * x8)));
  y[3] =
    x3 +
    (a[27]! * x0 +
      a[28]! * x1 +
      a[29]! * x2 +
      (a[30]! * x3 + a[31]! * x4) +
      (a[32]! * x5 + a[33]! * x6 + (a[34]! * x7 + a[35]! * x8)));
  y[4] =
    x4 +
    (a[36]! * x0 +
      a[37]! * x1 +
      a[38]! * x2 +
      (a[39]! * x3 + a[40]! * x4) +
      (a[41]! * x5 + a[42]! * x6 + (a[43]! * x7 + a[44]! * x8)));
  y[5] =
    x5 +
    (a[45]! * x0 +
      a[46]! * x1 +
      a[47]! * x2 +
      (a[48]! * x3 + a[49]! * x4) +
      (a[50]! * x5 + a[51]! * x6 + (a[52]! * x7 + a[53]! * x8)));
  y[6] =
    x6 +
    (a[54]! * x0 +
      a[55]! * x1 +
      a[56]! * x2 +
      (a[57]! * x3 + a[58]! * x4) +
      (a[59]! * x5 + a[60]! * x6 + (a[61]! * x7 + a[62]! * x8)));
  y[7] =
    x7 +
    (a[63]! * x0 +
      a[64]! * x1 +
      a[65]! * x2 +
      (a[66]! * x3 + a[67]! * x4) +
      (a[68]! * x5 + a[69]! * x6 + (a[70]! * x7 + a[71]! * x8)));
  y[8] =
    x8 +
    (a[72]! * x0 +
      a[73]! * x1 +
      a[74]! * x2 +
      (a[75]! * x3 + a[76]! * x4) +
      (a[77]! * x5 + a[78]! * x6 + (a[79]! * x7 + a[80]! * x8)));
}

function project9(a: Float64Array, count: number, x: Float64Array, y: Float64Array): void {
  const x0 = x[0]!;
  const x1 = x[1]!;
  const x2 = x[2]!;
  const x3 = x[3]!;
  const x4 = x[4]!;
  const x5 = x[5]!;
  const x6 = x[6]!;
  const x7 = x[7]!;
  const x8 = x[8]!;
  for (let r = 0, at = 0; r < count; r += 1, at += 9)
    y[r] =
      a[at + 0]! * x0 +
      a[at + 1]! * x1 +
      a[at + 2]! * x2 +
      (a[at + 3]! * x3 + a[at + 4]! * x4) +
      (a[at + 5]! * x5 + a[at + 6]! * x6 + (a[at + 7]! * x7 + a[at + 8]! * x8));
}

function multiply9(a: Float64Array, b: Float64Array, c: Float64Array): void {
  for (let at = 0; at < 81; at += 9) {
    const a0 = a[at + 0]!;
    const a1 = a[at + 1]!;
    const a2 = a[at + 2]!;
    const a3 = a[at + 3]!;
    const a4 = a[at + 4]!;
    const a5 = a[at + 5]!;
    const a6 = a[at + 6]!;
    const a7 = a[at + 7]!;
    const a8 = a[at + 8]!;
    for (let k = 0; k < 9; k += 1)
      c[at + k] =
        a0 * b[k + 0]! +
        a1 * b[k + 9]! +
        a2 * b[k + 18]! +
        (a3 * b[k + 27]! + a4 * b[k + 36]!) +
        (a5 * b[k + 45]! + a6 * b[k + 54]! + (a7 * b[k + 63]! + a8 * b[k + 72]!));
  }
}

function carry10(a: Float64Array, x: Float64Array, y: Float64Array): void {
  const x0 = x[0]!;
  const x1 = x[1]!;
  const x2 = x[2]!;
  const x3 = x[3]!;
  const x4 = x[4]!;
  const x5 = x[5]!;
  const x6 = x[6]!;
  const x7 = x[7]!;
  const x8 = x[8]!;
  const x9 = x[9]!;
  y[0] =
    x0 +
    (a[0]! * x0 +
      a[1]! * x1 +
      a[2]! * x2 +
      (a[3]! * x3 + a[4]! * x4) +
      (a[5]! * x5 + a[6]! * x6 + a[7]! * x7 + (a[8]! * x8 + a[9]! * x9)));
  y[1] =
    x1 +
    (a[10]! * x0 +
      a[11]! * x1 +
      a[12]! * x2 +
      (a[13]! * x3 + a[14]! * x4) +
      (a[15]! * x5 + a[16]! * x6 + a[17]! * x7 + (a[18]! * x8 + a[19]! * x9)));
  y[2] =
    x2 +
    (a[20]! * x0 +
      a[21]! * x1 +
      a[22]! * x2 +
      (a[23]! * x3 + a[24]! * x4) +
      (a[25]! * x5 + a[26]! * x6 + a[27]! * x7 + (a[28]! * x8 + a[29]! * x9)));
  y[3] =
    x3 +
    (a[30]! * x0 +
      a[31]! * x1 +
      a[32]! * x2 +
      (a[33]! * x3 + a[34]! * x4) +
      (a[35]! * x5 + a[36]! * x6 + a[37]! * x7 + (a[38]! * x8 + a[39]! * x9)));
  y[4] =
    x4 +
    (a[40]! * x0 +
      a[41]! * x1 +
      a[42]! * x2 +
      (a[43]! * x3 + a[44]! * x4) +
      (a[45]! * x5 + a[46]! * x6 + a[47]! * x7 + (a[48]! * x8 + a[49]! * x9)));
  y[5] =
    x5 +
    (a[50]! * x0 +
      a[51]! * x1 +
      a[52]! * x2 +
      (a[53]! * x3 + a[54]! * x4) +
      (a[55]! * x5 + a[56]! * x6 + a[57]! * x7 + (a[58]! * x8 + a[59]! * x9)));
  y[6] =
    x6 +
    (a[60]! * x0 +
      a[61]! * x1 +
      a[62]! * x2 +
      (a[63]! * x3 + a[64]! * x4) +
      (a[65]! * x5 + a[66]! * x6 + a[67]! * x7 + (a[68]! * x8 + a[69]! * x9)));
  y[7] =
    x7 +
    (a[70]! * x0 +
      a[71]! * x1 +
      a[72]! * x2 +
      (a[73]! * x3 + a[74]! * x4) +
      (a[75]! * x5 + a[76]! * x6 + a[77]! * x7 + (a[78]! * x8 + a[79]! * x9)));
  y[8] =
    x8 +
    (a[80]! * x0 +
      a[81]! * x1 +
      a[82]! * x2 +
      (a[83]! * x3 + a[84]! * x4) +
      (a[85]! * x5 + a[86]! * x6 + a[87]! * x7 + (a[88]! * x8 + a[89]! * x9)));
  y[9] =
    x9 +
    (a[90]! * x0 +
      a[91]! * x1 +
      a[92]! * x2 +
      (a[93]! * x3 + a[94]! * x4) +
      (a[95]! * x5 + a[96]! * x6 + a[97]! * x7 + (a[98]! * x8 + a[99]! * x9)));
}

function project10(a: Float64Array, count: number, x: Float64Array, y: Float64Array): void {
  const x0 = x[0]!;
  const x1 = x[1]!;
  const x2 = x[2]!;
  const x3 = x[3]!;
  const x4 = x[4]!;
  const x5 = x[5]!;
  const x6 = x[6]!;
  const x7 = x[7]!;
  const x8 = x[8]!;
  const x9 = x[9]!;
  for (let r = 0, at = 0; r < count; r += 1, at += 10)
    y[r] =
      a[at + 0]! * x0 +
      a[at + 1]! * x1 +
      a[at + 2]! * x2 +
      (a[at + 3]! * x3 + a[at + 4]! * x4) +
      (a[at + 5]! * x5 + a[at + 6]! * x6 + a[at + 7]! * x7 + (a[at + 8]! * x8 + a[at + 9]! * x9));
}

function multiply10(a: Float64Array, b: Float64Array, c: Float64Array): void {
  for (let at = 0; at < 100; at += 10) {
    const a0 = a[at + 0]!;
    const a1 = a[at + 1]!;
    const a2 = a[at + 2]!;
    const a3 = a[at + 3]!;
    const a4 = a[at + 4]!;
    const a5 = a[at + 5]!;
    const a6 = a[at + 6]!;
    const a7 = a[at + 7]!;
    const a8 = a[at + 8]!;
    const a9 = a[at + 9]!;
    for (let k = 0; k < 10; k += 1)
      c[at + k] =
        a0 * b[k + 0]! +
        a1 * b[k + 10]! +
        a2 * b[k + 20]! +
        (a3 * b[k + 30]! + a4 * b[k + 40]!) +
        (a5 * b[k + 50]! + a6 * b[k + 60]! + a7 * b[k + 70]! + (a8 * b[k + 80]! + a9 * b[k + 90]!));
  }
}

function carry11(a: Float64Array, x: Float64Array, y: Float64Array): void {
  const x0 = x[0]!;
  const x1 = x[1]!;
  const x2 = x[2]!;
  const x3 = x[3]!;
  const x4 = x[4]!;
  const x5 = x[5]!;
  const x6 = x[6]!;
  const x7 = x[7]!;
  const x8 = x[8]!;
  const x9 = x[9]!;
  const x10 = x[10]!;
  y[0] =
    x0 +
    (a[0]! * x0 +
      a[1]! * x1 +
      a[2]! * x2 +
      (a[3]! * x3 + a[4]! * x4 + a[5]! * x5) +
      (a[6]! * x6 + a[7]! * x7 + a[8]! * x8 + (a[9]! * x9 + a[10]! * x10)));
  y[1] =
    x1 +
    (a[11]! * x0 +
      a[12]! * x1 +
      a[13]! * x2 +
      (a[14]! * x3 + a[15]! * x4 + a[16]! * x5) +
      (a[17]! * x6 + a[18]! * x7 + a[19]! * x8 + (a[20]! * x9 + a[21]! * x10)));
  y[2] =
    x2 +
    (a[22]! * x0 +
      a[23]! * x1 +
      a[24]! * x2 +
      (a[25]! * x3 + a[26]! * x4 + a[27]! * x5) +
      (a[28]! * x6 + a[29]! * x7 + a[30]! * x8 + (a[31]! * x9 + a[32]! * x10)));
  y[3] =
    x3 +
    (a[33]! * x0 +
      a[34]! * x1 +
      a[35]! * x2 +
      (a[36]! * x3 + a[37]! * x4 + a[38]! * x5) +
      (a[39]! * x6 + a[40]! * x7 + a[41]! * x8 + (a[42]! * x9 + a[43]! * x10)));
  y[4] =
    x4 +
    (a[44]! * x0 +
      a[45]! * x1 +
      a[46]! * x2 +
      (a[47]! * x3 + a[48]! * x4 + a[49]! * x5) +
      (a[50]! * x6 + a[51]! * x7 + a[52]! * x8 + (a[53]! * x9 + a[54]! * x10)));
  y[5] =
    x5 +
    (a[55]! * x0 +
      a[56]! * x1 +
      a[57]! * x2 +
      (a[58]! * x3 + a[59]! * x4 + a[60]! * x5) +
      (a[61]! * x6 + a[62]! * x7 + a[63]! * x8 + (a[64]! * x9 + a[65]! * x10)));
  y[6] =
    x6 +
    (a[66]! * x0 +
      a[67]! * x1 +
      a[68]! * x2 +
      (a[69]! * x3 + a[70]! * x4 + a[71]! * x5) +
      (a[72]! * x6 + a[73]! * x7 + a[74]! * x8 + (a[75]! * x9 + a[76]! * x10)));
  y[7] =
    x7 +
    (a[77]! * x0 +
      a[78]! * x1 +
      a[79]! * x2 +
      (a[80]! * x3 + a[81]! * x4 + a[82]! * x5) +
      (a[83]! * x6 + a[84]! * x7 + a[85]! * x8 + (a[86]! * x9 + a[87]! * x10)));
  y[8] =
    x8 +
    (a[88]! * x0 +
      a[89]! * x1 +
      a[90]! * x2 +
      (a[91]! * x3 + a[92]! * x4 + a[93]! * x5) +
      (a[94]! * x6 + a[95]! * x7 + a[96]! * x8 + (a[97]! * x9 + a[98]! * x10)));
  y[9] =
    x9 +
    (a[99]! * x0 +
      a[100]! * x1 +
      a[101]! * x2 +
      (a[102]! * x3 + a[103]! * x4 + a[104]! * x5) +
      (a[105]! * x6 + a[106]! * x7 + a[107]! * x8 + (a[108]! * x9 + a[109]! * x10)));
  y[10] =
    x10 +
    (a[110]! * x0 +
      a[111]! * x1 +
      a[112]! * x2 +
      (a[113]! * x3 + a[114]! * x4 + a[115]! * x5) +
      (a[116]! * x6 + a[117]! * x7 + a[118]! * x8 + (a[119]! * x9 + a[120]! * x10)));
}

function project11(a: Float64Array, count: number, x: Float64Array, y: Float64Array): void {
  const x0 = x[0]!;
  const x1 = x[1]!;
  const x2 = x[2]!;
  const x3 = x[3]!;
  const x4 = x[4]!;
  const x5 = x[5]!;
  const x6 = x[6]!;
  const x7 = x[7]!;
  const x8 = x[8]!;
  const x9 = x[9]!;
  const x10 = x[10]!;
  for (let r = 0, at = 0; r < count; r += 1, at += 11)
    y[r] =
      a[at + 0]! * x0 +
      a[at + 1]! * x1 +
      a[at + 2]! * x2 +
      (a[at + 3]! * x3 + a[at + 4]! * x4 + a[at + 5]! * x5) +
      (a[at + 6]! * x6 + a[at + 7]! * x7 + a[at + 8]! * x8 + (a[at + 9]! * x9 + a[at + 10]! * x10));
}

function multiply11(a: Float64Array, b: Float64Array, c: Float64Array): void {
  for (let at = 0; at < 121; at += 11) {
    const a0 = a[at + 0]!;
    const a1 = a[at + 1]!;
    const a2 = a[at + 2]!;
    const a3 = a[at + 3]!;
    const a4 = a[at + 4]!;
    const a5 = a[at + 5]!;
    const a6 = a[at + 6]!;
    const a7 = a[at + 7]!;
    const a8 = a[at + 8]!;
    const a9 = a[at + 9]!;
    const a10 = a[at + 10]!;
    for (let k = 0; k < 11; k += 1)
      c[at + k] =
        a0 * b[k + 0]! +
        a1 * b[k + 11]! +
        a2 * b[k + 22]! +
        (a3 * b[k + 33]! + a4 * b[k + 44]! + a5 * b[k + 55]!) +
        (a6 * b[k + 66]! + a7 * b[k + 77]! + a8 * b[k + 88]! + (a9 * b[k + 99]! + a10 * b[k + 110]!));
  }
}

function carry12(a: Float64Array, x: Float64Array, y: Float64Array): void {
  const x0 = x[0]!;
  const x1 = x[1]!;
  const x2 = x[2]!;
  const x3 = x[3]!;
  const x4 = x[4]!;
  const x5 = x[5]!;
  const x6 = x[6]!;
  const x7 = x[7]!;
  const x8 = x[8]!;
  const x9 = x[9]!;
  const x10 = x[10]!;
  const x11 = x[11]!;
  y[0] =
    x0 +
    (a[0]! * x0 +
      a[1]! * x1 +
      a[2]! * x2 +
      (a[3]! * x3 + a[4]! * x4 + a[5]! * x5) +
      (a[6]! * x6 + a[7]! * x7 + a[8]! * x8 + (a[9]! * x9 + a[10]! * x10 + a[11]! * x11)));
  y[1] =
    x1 +
    (a[12]! * x0 +
      a[13]! * x1 +
      a[14]! * x2 +
      (a[15]! * x3 + a[16]! * x4 + a[17]! * x5) +
      (a[18]! * x6 + a[19]! * x7 + a[20]! * x8 + (a[21]! * x9 + a[22]! * x10 + a[23]! * x11)));
  y[2] =
    x2 +
    (a[24]! * x0 +
      a[25]! * x1 +
      a[26]! * x2 +
      (a[27]! * x3 + a[28]! * x4 + a[29]! * x5) +
      (a[30]! * x6 + a[31]! * x7 + a[32]! * x8 + (a[33]! * x9 + a[34]! * x10 + a[35]! * x11)));
  y[3] =
    x3 +
    (a[36]! * x0 +
      a[37]! * x1 +
      a[38]! * x2 +
      (a[39]! * x3 + a[40]! * x4 + a[41]! * x5) +
      (a[42]! * x6 + a[43]! * x7 + a[44]! * x8 + (a[45]! * x9 + a[46]! * x10 + a[47]! * x11)));
  y[4] =
    x4 +
    (a[48]! * x0 +
      a[49]! * x1 +
      a[50]! * x2 +
      (a[51]! * x3 + a[52]! * x4 + a[53]! * x5) +
      (a[54]! * x6 + a[55]! * x7 + a[56]! * x8 + (a[57]! * x9 + a[58]! * x10 + a[59]! * x11)));
  y[5] =
    x5 +
    (a[60]! * x0 +
      a[61]! * x1 +
      a[62]! * x2 +
      (a[63]! * x3 + a[64]! * x4 + a[65]! * x5) +
      (a[66]! * x6 + a[67]! * x7 + a[68]! * x8 + (a[69]! * x9 + a[70]! * x10 + a[71]! * x11)));
  y[6] =
    x6 +
    (a[72]! * x0 +
      a[73]! * x1 +
      a[74]! * x2 +
      (a[75]! * x3 + a[76]! * x4 + a[77]! * x5) +
      (a[78]! * x6 + a[79]! * x7 + a[80]! * x8 + (a[81]! * x9 + a[82]! * x10 + a[83]! * x11)));
  y[7] =
    x7 +
    (a[84]! * x0 +
      a[85]! * x1 +
      a[86]! * x2 +
      (a[87]! * x3 + a[88]! * x4 + a[89]! * x5) +
      (a[90]! * x6 + a[91]! * x7 + a[92]! * x8 + (a[93]! * x9 + a[94]! * x10 + a[95]! * x11)));
  y[8] =
    x8 +
    (a[96]! * x0 +
      a[97]! * x1 +
      a[98]! * x2 +
      (a[99]! * x3 + a[100]! * x4 + a[101]! * x5) +
      (a[102]! * x6 + a[103]! * x7 + a[104]! * x8 + (a[105]! * x9 + a[106]! * x10 + a[107]! * x11)));
  y[9] =
    x9 +
    (a[108]! * x0 +
      a[109]! * x1 +
      a[110]! * x2 +
      (a[111]! * x3 + a[112]! * x4 + a[113]! * x5) +
      (a[114]! * x6 + a[115]! * x7 + a[116]! * x8 + (a[117]! * x9 + a[118]! * x10 + a[119]! * x11)));
  y[10] =
    x10 +
    (a[120]! * x0 +
      a[121]! * x1 +
      a[122]! * x2 +
      (a[123]! * x3 + a[124]! * x4 + a[125]! * x5) +
      (a[126]! * x6 + a[127]! * x7 + a[128]! * x8 + (a[129]! * x9 + a[130]! * x10 + a[131]! * x11)));
  y[11] =
    x11 +
    (a[132]! * x0 +
      a[133]! * x1 +
      a[134]! * x2 +
      (a[135]! * x3 + a[136]! * x4 + a[137]! * x5) +
      (a[138]! * x6 + a[139]! * x7 + a[140]! * x8 + (a[141]! * x9 + a[142]! * x10 + a[143]! * x11)));
}

function project12(a: Float64Array, count: number, x: Float64Array, y: Float64Array): void {
  const x0 = x[0]!;
  const x1 = x[1]!;
  const x2 = x[2]!;
  const x3 = x[3]!;
  const x4 = x[4]!;
  const x5 = x[5]!;
  const x6 = x[6]!;
  const x7 = x[7]!;
  const x8 = x[8]!;
  const x9 = x[9]!;
  const x10 = x[10]!;
  const x11 = x[11]!;
  for (let r = 0, at = 0; r < count; r += 1, at += 12)
    y[r] =
      a[at + 0]! * x0 +
      a[at + 1]! * x1 +
      a[at + 2]! * x2 +
      (a[at + 3]! * x3 + a[at + 4]! * x4 + a[at + 5]! * x5) +
      (a[at + 6]! * x6 + a[at + 7]! * x7 + a[at + 8]! * x8 + (a[at + 9]! * x9 + a[at + 10]! * x10 + a[at + 11]! * x11));
}

function multiply12(a: Float64Array, b: Float64Array, c: Float64Array): void {
  for (let at = 0; at < 144; at += 12) {
    const a0 = a[at + 0]!;
    const a1 = a[at + 1]!;
    const a2 = a[at + 2]!;
    const a3 = a[at + 3]!;
    const a4 = a[at + 4]!;
    const a5 = a[at + 5]!;
    const a6 = a[at + 6]!;
    const a7 = a[at + 7]!;
    const a8 = a[at + 8]!;
    const a9 = a[at + 9]!;
    const a10 = a[at + 10]!;
    const a11 = a[at + 11]!;
    for (let k = 0; k < 12; k += 1)
      c[at + k] =
        a0 * b[k + 0]! +
        a1 * b[k + 12]! +
        a2 * b[k + 24]! +
        (a3 * b[k + 36]! + a4 * b[k + 48]! + a5 * b[k + 60]!) +
        (a6 * b[k + 72]! +
          a7 * b[k + 84]! +
          a8 * b[k + 96]! +
          (a9 * b[k + 108]! + a10 * b[k + 120]! + a11 * b[k + 132]!));
  }
}

function carry13(a: Float64Array, x: Float64Array, y: Float64Array): void {
  const x0 = x[0]!;
  const x1 = x[1]!;
  const x2 = x[2]!;
  const x3 = x[3]!;
  const x4 = x[4]!;
  const x5 = x[5]!;
  const x6 = x[6]!;
  const x7 = x[7]!;
  const x8 = x[8]!;
  const x9 = x[9]!;
  const x10 = x[10]!;
  const x11 = x[11]!;
  const x12 = x[12]!;
  y[0] =
    x0 +
    (a[0]! * x0 +
      a[1]! * x1 +
      (a[2]! * x2 + a[3]! * x3) +
      (a[4]! * x4 + a[5]! * x5 + a[6]! * x6) +
      (a[7]! * x7 + a[8]! * x8 + a[9]! * x9 + (a[10]! * x10 + a[11]! * x11 + a[12]! * x12)));
  y[1] =
    x1 +
    (a[13]! * x0 +
      a[14]! * x1 +
      (a[15]! * x2 + a[16]! * x3) +
      (a[17]! * x4 + a[18]! * x5 + a[19]! * x6) +
      (a[20]! * x7 + a[21]! * x8 + a[22]! * x9 + (a[23]! * x10 + a[24]! * x11 + a[25]! * x12)));
  y[2] =
    x2 +
    (a[26]! * x0 +
      a[27]! * x1 +
      (a[28]! * x2 + a[29]! * x3) +
      (a[30]! * x4 + a[31]! * x5 + a[32]! * x6) +
      (a[33]! * x7 + a[34]! * x8 + a[35]! * x9 + (a[36]! * x10 + a[37]! * x11 + a[38]! * x12)));
  y[3] =
    x3 +
    (a[39]! * x0 +
      a[40]! * x1 +
      (a[41]! * x2 + a[42]! * x3) +
      (a[43]! * x4 + a[44]! * x5 + a[45]! * x6) +
      (a[46]! * x7 + a[47]! * x8 + a[48]! * x9 + (a[49]! * x10 + a[50]! * x11 + a[51]! * x12)));
  y[4] =
    x4 +
    (a[52]! * x0 +
      a[53]! * x1 +
      (a[54]! * x2 + a[55]! * x3) +
      (a[56]! * x4 + a[57]! * x5 + a[58]! * x6) +
      (a[59]! * x7 + a[60]! * x8 + a[61]! * x9 + (a[62]! * x10 + a[63]! * x11 + a[64]! * x12)));
  y[5] =
    x5 +
    (a[65]! * x0 +
      a[66]! * x1 +
      (a[67]! * x2 + a[68]! * x3) +
      (a[69]! * x4 + a[70]! * x5 + a[71]! * x6) +
      (a[72]! * x7 + a[73]! * x8 + a[74]! * x9 + (a[75]! * x10 + a[76]! * x11 + a[77]! * x12)));
  y[6] =
    x6 +
    (a[78]! * x0 +
      a[79]! * x1 +
      (a[80]! * x2 + a[81]! * x3) +
      (a[82]! * x4 + a[83]! * x5 + a[84]! * x6) +
      (a[85]! * x7 + a[86]! * x8 + a[87]! * x9 + (a[88]! * x10 + a[89]! * x11 + a[90]! * x12)));
  y[7] =
    x7 +
    (a[91]! * x0 +
      a[92]! * x1 +
      (a[93]! * x2 + a[94]! * x3) +
      (a[95]! * x4 + a[96]! * x5 + a[97]! * x6) +
      (a[98]! * x7 + a[99]! * x8 + a[100]! * x9 + (a[101]! * x10 + a[102]! * x11 + a[103]! * x12)));
  y[8] =
    x8 +
    (a[104]! * x0 +
      a[105]! * x1 +
      (a[106]! * x2 + a[107]! * x3) +
      (a[108]! * x4 + a[109]! * x5 + a[110]! * x6) +
      (a[111]! * x7 + a[112]! * x8 + a[113]! * x9 + (a[114]! * x10 + a[115]! * x11 + a[116]! * x12)));
  y[9] =
    x9 +
    (a[117]! * x0 +
      a[118]! * x1 +
      (a[119]! * x2 + a[120]! * x3) +
      (a[121]! * x4 + a[122]! * x5 + a[123]! * x6) +
      (a[124]! * x7 + a[125]! * x8 + a[126]! * x9 + (a[127]! * x10 + a[128]! * x11 + a[129]! * x12)));
  y[10] =
    x10 +
    (a[130]! * x0 +
      a[131]! * x1 +
      (a[132]! * x2 + a[133]! * x3) +
      (a[134]! * x4 + a[135]! * x5 + a[136]! * x6) +
      (a[137]! * x7 + a[138]! * x8 + a[139]! * x9 + (a[140]! * x10 + a[141]! * x11 + a[142]! * x12)));
  y[11] =
    x11 +
    (a[143]! * x0 +
      a[144]! * x1 +
      (a[145]! * x2 + a[146]! * x3) +
      (a[147]! * x4 + a[148]! * x5 + a[149]! * x6) +
      (a[150]! * x7 + a[151]! * x8 + a[152]! * x9 + (a[153]! * x10 + a[154]! * x11 + a[155]! * x12)));
  y[12] =
    x12 +
    (a[156]! * x0 +
      a[157]! * x1 +
      (a[158]! * x2 + a[159]! * x3) +
      (a[160]! * x4 + a[161]! * x5 + a[162]! * x6) +
      (a[163]! * x7 + a[164]! * x8 + a[165]! * x9 + (a[166]! * x10 + a[167]! * x11 + a[168]! * x12)));
}

function project13(a: Float64Array, count: number, x: Float64Array, y: Float64Array): void {
  const x0 = x[0]!;
  const x1 = x[1]!;
  const x2 = x[2]!;
  const x3 = x[3]!;
  const x4 = x[4]!;
  const x5 = x[5]!;
  const x6 = x[6]!;
  const x7 = x[7]!;
  const x8 = x[8]!;
  const x9 = x[9]!;
  const x10 = x[10]!;
  const x11 = x[11]!;
  const x12 = x[12]!;
  for (let r = 0, at = 0; r < count; r += 1, at += 13)
    y[r] =
      a[at + 0]! * x0 +
      a[at + 1]! * x1 +
      (a[at + 2]! * x2 + a[at + 3]! * x3) +
      (a[at + 4]! * x4 + a[at + 5]! * x5 + a[at + 6]! * x6) +
      (a[at + 7]! * x7 +
        a[at + 8]! * x8 +
        a[at + 9]! * x9 +
        (a[at + 10]! * x10 + a[at + 11]! * x11 + a[at + 12]! * x12));
}

function multiply13(a: Float64Array, b: Float64Array, c: Float64Array): void {
  for (let at = 0; at < 169; at += 13) {
    const a0 = a[at + 0]!;
    const a1 = a[at + 1]!;
    const a2 = a[at + 2]!;
    const a3 = a[at + 3]!;
    const a4 = a[at + 4]!;
    const a5 = a[at + 5]!;
    const a6 = a[at + 6]!;
    const a7 = a[at + 7]!;
    const a8 = a[at + 8]!;
    const a9 = a[at + 9]!;
    const a10 = a[at + 10]!;
    const a11 = a[at + 11]!;
    const a12 = a[at + 12]!;
    for (let k = 0; k < 13; k += 1)
      c[at + k] =
        a0 * b[k + 0]! +
        a1 * b[k + 13]! +
        (a2 * b[k + 26]! + a3 * b[k + 39]!) +
        (a4 * b[k + 52]! + a5 * b[k + 65]! + a6 * b[k + 78]!) +
        (a7 * b[k + 91]! +
          a8 * b[k + 104]! +
          a9 * b[k + 117]! +
          (a10 * b[k + 130]! + a11 * b[k + 143]! + a12 * b[k + 156]!));
  }
}

function carry14(a: Float64Array, x: Float64Array, y: Float64Array): void {
  const x0 = x[0]!;
  const x1 = x[1]!;
  const x2 = x[2]!;
  const x3 = x[3]!;
  const x4 = x[4]!;
  const x5 = x[5]!;
  const x6 = x[6]!;
  const x7 = x[7]!;
  const x8 = x[8]!;
  const x9 = x[9]!;
  const x10 = x[10]!;
  const x11 = x[11]!;
  const x12 = x[12]!;
  const x13 = x[13]!;
  y[0] =
    x0 +
    (a[0]! * x0 +
      a[1]! * x1 +
      (a[2]! * x2 + a[3]! * x3) +
      (a[4]! * x4 + a[5]! * x5 + a[6]! * x6) +
      (a[7]! * x7 + a[8]! * x8 + (a[9]! * x9 + a[10]! * x10) + (a[11]! * x11 + a[12]! * x12 + a[13]! * x13)));
  y[1] =
    x1 +
    (a[14]! * x0 +
      a[15]! * x1 +
      (a[16]! * x2 + a[17]! * x3) +
      (a[18]! * x4 + a[19]! * x5 + a[20]! * x6) +
      (a[21]! * x7 + a[22]! * x8 + (a[23]! * x9 + a[24]! * x10) + (a[25]! * x11 + a[26]! * x12 + a[27]! * x13)));
  y[2] =
    x2 +
    (a[28]! * x0 +
      a[29]! * x1 +
      (a[30]! * x2 + a[31]! * x3) +
      (a[32]! * x4 + a[33]! * x5 + a[34]! * x6) +
      (a[35]! * x7 + a[36]! * x8 + (a[37]! * x9 + a[38]! * x10) + (a[39]! * x11 + a[40]! * x12 + a[41]! * x13)));
  y[3] =
    x3 +
    (a[42]! * x0 +
      a[43]! * x1 +
      (a[44]! * x2 + a[45]! * x3) +
      (a[46]! * x4 + a[47]! * x5 + a[48]! * x6) +
      (a[49]! * x7 + a[50]! * x8 + (a[51]! * x9 + a[52]! * x10) + (a[53]! * x11 + a[54]! * x12 + a[55]! * x13)));
  y[4] =
    x4 +
    (a[56]! * x0 +
      a[57]! * x1 +
      (a[58]! * x2 + a[59]! * x3) +
      (a[60]! * x4 + a[61]! * x5 + a[62]! * x6) +
      (a[63]! * x7 + a[64]! * x8 + (a[65]! * x9 + a[66]! * x10) + (a[67]! * x11 + a[68]! * x12 + a[69]! * x13)));
  y[5] =
    x5 +
    (a[70]! * x0 +
      a[71]! * x1 +
      (a[72]! * x2 + a[73]! * x3) +
      (a[74]! * x4 + a[75]! * x5 + a[76]! * x6) +
      (a[77]! * x7 + a[78]! * x8 + (a[79]! * x9 + a[80]! * x10) + (a[81]! * x11 + a[82]! * x12 + a[83]! * x13)));
  y[6] =
    x6 +
    (a[84]! * x0 +
      a[85]! * x1 +
      (a[86]! * x2 + a[87]! * x3) +
      (a[88]! * x4 + a[89]! * x5 + a[90]! * x6) +
      (a[91]! * x7 + a[92]! * x8 + (a[93]! * x9 + a[94]! * x10) + (a[95]! * x11 + a[96]! * x12 + a[97]! * x13)));
  y[7] =
    x7 +
    (a[98]! * x0 +
      a[99]! * x1 +
      (a[100]! * x2 + a[101]! * x3) +
      (a[102]! * x4 + a[103]! * x5 + a[104]! * x6) +
      (a[105]! * x7 + a[106]! * x8 + (a[107]! * x9 + a[108]! * x10) + (a[109]! * x11 + a[110]! * x12 + a[111]! * x13)));
  y[8] =
    x8 +
    (a[112]! * x0 +
      a[113]! * x1 +
      (a[114]! * x2 + a[115]! * x3) +
      (a[116]! * x4 + a[117]! * x5 + a[118]! * x6) +
      (a[119]! * x7 + a[120]! * x8 + (a[121]! * x9 + a[122]! * x10) + (a[123]! * x11 + a[124]! * x12 + a[125]! * x13)));
  y[9] =
    x9 +
    (a[126]! * x0 +
      a[127]! * x1 +
      (a[128]! * x2 + a[129]! * x3) +
      (a[130]! * x4 + a[131]! * x5 + a[132]! * x6) +
      (a[133]! * x7 + a[134]! * x8 + (a[135]! * x9 + a[136]! * x10) + (a[137]! * x11 + a[138]! * x12 + a[139]! * x13)));
  y[10] =
    x10 +
    (a[140]! * x0 +
      a[141]! * x1 +
      (a[142]! * x2 + a[143]! * x3) +
      (a[144]! * x4 + a[145]! * x5 + a[146]! * x6) +
      (a[147]! * x7 + a[148]! * x8 + (a[149]! * x9 + a[150]! * x10) + (a[151]! * x11 + a[152]! * x12 + a[153]! * x13)));
  y[11] =
    x11 +
    (a[154]! * x0 +
      a[155]! * x1 +
      (a[156]! * x2 + a[157]! * x3) +
      (a[158]! * x4 + a[159]! * x5 + a[160]! * x6) +
      (a[161]! * x7 + a[162]! * x8 + (a[163]! * x9 + a[164]! * x10) + (a[165]! * x11 + a[166]! * x12 + a[167]! * x13)));
  y[12] =
    x12 +
    (a[168]! * x0 +
      a[169]! * x1 +
      (a[170]! * x2 + a[171]! * x3) +
      (a[172]! * x4 + a[173]! * x5 + a[174]! * x6) +
      (a[175]! * x7 + a[176]! * x8 + (a[177]! * x9 + a[178]! * x10) + (a[179]! * x11 + a[180]! * x12 + a[181]! * x13)));
  y[13] =
    x13 +
    (a[182]! * x0 +
      a[183]! * x1 +
      (a[184]! * x2 + a[185]! * x3) +
      (a[186]! * x4 + a[187]! * x5 + a[188]! * x6) +
      (a[189]! * x7 + a[190]! * x8 + (a[191]! * x9 + a[192]! * x10) + (a[193]! * x11 + a[194]! * x12 + a[195]! * x13)));
}

function project14(a: Float64Array, count: number, x: Float64Array, y: Float64Array): void {
  const x0 = x[0]!;
  const x1 = x[1]!;
  const x2 = x[2]!;
  const x3 = x[3]!;
  const x4 = x[4]!;
  const x5 = x[5]!;
  const x6 = x[6]!;
  const x7 = x[7]!;
  const x8 = x[8]!;
  const x9 = x[9]!;
  const x10 = x[10]!;
  const x11 = x[11]!;
  const x12 = x[12]!;
  const x13 = x[13]!;
  for (let r = 0, at = 0; r < count; r += 1, at += 14)
    y[r] =
      a[at + 0]! * x0 +
      a[at + 1]! * x1 +
      (a[at + 2]! * x2 + a[at + 3]! * x3) +
      (a[at + 4]! * x4 + a[at + 5]! * x5 + a[at + 6]! * x6) +
      (a[at + 7]! * x7 +
        a[at + 8]! * x8 +
        (a[at + 9]! * x9 + a[at + 10]! * x10) +
        (a[at + 11]! * x11 + a[at + 12]! * x12 + a[at + 13]! * x13));
}

function multiply14(a: Float64Array, b: Float64Array, c: Float64Array): void {
  for (let at = 0; at < 196; at += 14) {
    const a0 = a[at + 0]!;
    const a1 = a[at + 1]!;
    const a2 = a[at + 2]!;
    const a3 = a[at + 3]!;
    const a4 = a[at + 4]!;
    const a5 = a[at + 5]!;
    const a6 = a[at + 6]!;
    const a7 = a[at + 7]!;
    const a8 = a[at + 8]!;
    const a9 = a[at + 9]!;
    const a10 = a[at + 10]!;
    const a11 = a[at + 11]!;
    const a12 = a[at + 12]!;
    const a13 = a[at + 13]!;
    for (let k = 0; k < 14; k += 1)
      c[at + k] =
        a0 * b[k + 0]! +
        a1 * b[k + 14]! +
        (a2 * b[k + 28]! + a3 * b[k + 42]!) +
        (a4 * b[k + 56]! + a5 * b[k + 70]! + a6 * b[k + 84]!) +
        (a7 * b[k + 98]! +
          a8 * b[k + 112]! +
          (a9 * b[k + 126]! + a10 * b[k + 140]!) +
          (a11 * b[k + 154]! + a12 * b[k + 168]! + a13 * b[k + 182]!));
  }
}

type Carry = (a: Float64Array, x: Float64Array, y: Float64Array) => void;
type Project = (a: Float64Array, count: number, x: Float64Array, y: Float64Array) => void;
type Multiply = (a: Float64Array, b: Float64Array, c: Float64Array) => void;

/** y = x + A·x, by the size of x. */
export const carry: readonly (Carry | undefined)[] = [
  undefined,
  undefined,
  carry2,
  carry3,
  carry4,
  carry5,
  carry6,
  carry7,
  carry8,
  carry9,
  carry10,
  carry11,
  carry12,
  carry13,
  carry14,
];

/** y = A·x of so many rows, by the size of x. */
export const project: readonly (Project | undefined)[] = [
  undefined,
  undefined,
  project2,
  project3,
  project4,
  project5,
  project6,
  project7,
  project8,
  project9,
  project10,
  project11,
  project12,
  project13,
  project14,
];

/** C = A·B, by their size. */
export const multiply: readonly (Multiply | undefined)[] = [
  undefined,
  undefined,
  multiply2,
  multiply3,
  multiply4,
  multiply5,
  multiply6,
  multiply7,
  multiply8,
  multiply9,
  multiply10,
  multiply11,
  multiply12,
  multiply13,
  multiply14,
];
