import type { PictureSize } from './pairing';
import { preparationMaps, preparedSize, type Preparation } from './straighten';

/** Pixels row by row from the top left, four bytes each: red, green, blue, opacity. */
export interface Picture extends PictureSize {
  readonly data: Uint8ClampedArray;
}

/** How far the light may fall off across a board before it counts as drawing, as a share of the shorter side. */
const LIGHT_SPREAD = 0.12;
/** This share of the pixels at either end is taken for glare and shadow. */
const OUTLIERS = 0.01;
/** Rows between two reports. */
const ROWS_AT_ONCE = 64;

/**
 * Makes a picture of a board ready for tracing: cut out and squared by its corners, mirrored, and raised in contrast.
 * @param onShare called now and then with the share that is done
 */
export function preparePicture(
  picture: Picture,
  preparation: Preparation,
  onShare: (share: number) => void = () => undefined,
): Picture {
  const straight = straightened(picture, preparation, (share) => onShare(share * 0.6));
  const raised = preparation.contrast > 0 ? raiseContrast(straight, preparation.contrast) : straight;
  onShare(1);
  return raised;
}

function straightened(picture: Picture, preparation: Preparation, onShare: (share: number) => void): Picture {
  const { corners, mirror } = preparation;
  if (!corners && !mirror) return picture;
  const size = preparedSize(preparation, picture);
  const { toPicture } = preparationMaps(preparation);
  const data = new Uint8ClampedArray(size.width * size.height * 4);
  for (let y = 0; y < size.height; y += 1) {
    for (let x = 0; x < size.width; x += 1) {
      const from = toPicture({ x: (x + 0.5) / size.width, y: (y + 0.5) / size.height });
      sampleInto(data, (y * size.width + x) * 4, picture, from.x * picture.width - 0.5, from.y * picture.height - 0.5);
    }
    if (y % ROWS_AT_ONCE === 0) onShare(y / size.height);
  }
  return { ...size, data };
}

/** Reads a picture between its pixels, bilinear; outside it the nearest pixel holds. */
function sampleInto(into: Uint8ClampedArray, at: number, { width, height, data }: Picture, x: number, y: number) {
  const left = Math.max(0, Math.min(width - 1, Math.floor(x)));
  const top = Math.max(0, Math.min(height - 1, Math.floor(y)));
  const [right, bottom] = [Math.min(width - 1, left + 1), Math.min(height - 1, top + 1)];
  const [dx, dy] = [Math.max(0, Math.min(1, x - left)), Math.max(0, Math.min(1, y - top))];
  for (let channel = 0; channel < 4; channel += 1) {
    const pixel = (column: number, row: number) => data[(row * width + column) * 4 + channel] ?? 0;
    const upper = pixel(left, top) * (1 - dx) + pixel(right, top) * dx;
    const lower = pixel(left, bottom) * (1 - dx) + pixel(right, bottom) * dx;
    into[at + channel] = upper * (1 - dy) + lower * dy;
  }
}

/**
 * Raises copper against what lies between: the uneven light is taken out, then the colours are stretched along the
 * line on which they differ most (their first principal component), which on a board is copper against laminate.
 */
function raiseContrast(picture: Picture, strength: number): Picture {
  const { width, height, data } = picture;
  const count = width * height;
  const light = blurred(picture, Math.max(2, Math.round(Math.min(width, height) * LIGHT_SPREAD)));
  const mean = light.reduce((sum, value) => sum + value, 0) / Math.max(1, count);
  const flat = new Float32Array(count * 3);
  for (let pixel = 0; pixel < count; pixel += 1)
    for (let channel = 0; channel < 3; channel += 1)
      flat[pixel * 3 + channel] = ((data[pixel * 4 + channel] ?? 0) * mean) / Math.max(8, light[pixel] ?? 1);
  const axis = mainAxis(flat);
  const along = new Float32Array(count);
  for (let pixel = 0; pixel < count; pixel += 1)
    along[pixel] =
      (flat[pixel * 3] ?? 0) * axis[0] + (flat[pixel * 3 + 1] ?? 0) * axis[1] + (flat[pixel * 3 + 2] ?? 0) * axis[2];
  const sorted = along.toSorted();
  const low = sorted[Math.floor(count * OUTLIERS)] ?? 0;
  const high = sorted[Math.floor(count * (1 - OUTLIERS))] ?? 255;
  const out = new Uint8ClampedArray(data);
  for (let pixel = 0; pixel < count; pixel += 1) {
    const share = Math.max(0, Math.min(1, ((along[pixel] ?? 0) - low) / Math.max(1, high - low)));
    const raised = 255 * share * share * (3 - 2 * share);
    for (let channel = 0; channel < 3; channel += 1) {
      const at = pixel * 4 + channel;
      out[at] = (data[at] ?? 0) * (1 - strength) + raised * strength;
    }
  }
  return { width, height, data: out };
}

/** Brightness of every pixel averaged over a square around it, by running sums over rows and columns. */
function blurred({ width, height, data }: Picture, radius: number): Float32Array {
  const brightness = new Float32Array(width * height);
  for (let pixel = 0; pixel < brightness.length; pixel += 1)
    brightness[pixel] = ((data[pixel * 4] ?? 0) + (data[pixel * 4 + 1] ?? 0) + (data[pixel * 4 + 2] ?? 0)) / 3;
  const rows = averaged(brightness, { lines: height, length: width, step: 1, stride: width }, radius);
  return averaged(rows, { lines: width, length: height, step: width, stride: 1 }, radius);
}

function averaged(
  from: Float32Array,
  { lines, length, step, stride }: { lines: number; length: number; step: number; stride: number },
  radius: number,
): Float32Array {
  const into = new Float32Array(from.length);
  for (let line = 0; line < lines; line += 1) {
    const at = (index: number) => from[line * stride + Math.max(0, Math.min(length - 1, index)) * step] ?? 0;
    let sum = 0;
    for (let index = -radius; index <= radius; index += 1) sum += at(index);
    for (let index = 0; index < length; index += 1) {
      into[line * stride + index * step] = sum / (2 * radius + 1);
      sum += at(index + radius + 1) - at(index - radius);
    }
  }
  return into;
}

/** Direction of the largest variance of colours, by power iteration on their covariance; towards the brighter end. */
function mainAxis(colours: Float32Array): readonly [number, number, number] {
  const count = colours.length / 3;
  const mean = [0, 1, 2].map((channel) => {
    let sum = 0;
    for (let pixel = 0; pixel < count; pixel += 1) sum += colours[pixel * 3 + channel] ?? 0;
    return sum / Math.max(1, count);
  });
  const covariance = [0, 1, 2].map((one) =>
    [0, 1, 2].map((other) => {
      let sum = 0;
      for (let pixel = 0; pixel < count; pixel += 1)
        sum +=
          ((colours[pixel * 3 + one] ?? 0) - (mean[one] ?? 0)) *
          ((colours[pixel * 3 + other] ?? 0) - (mean[other] ?? 0));
      return sum;
    }),
  );
  let axis = [0.9, 0.5, 0.2];
  for (let round = 0; round < 30; round += 1) {
    const next = covariance.map((row) => row.reduce((sum, value, index) => sum + value * (axis[index] ?? 0), 0));
    const length = Math.hypot(...next);
    if (length < 1e-9) break;
    axis = next.map((value) => value / length);
  }
  const [x = 1, y = 0, z = 0] = axis;
  const sign = x + y + z < 0 ? -1 : 1;
  return [x * sign, y * sign, z * sign];
}
