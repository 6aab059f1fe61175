import { chromium } from '@playwright/test';
import { expect, test } from './shop';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import QRCode from 'qrcode';
import { goTo } from './hands';

const SIZE = { width: 640, height: 480 } as const;
/** Pixels of one module of the square. */
const MODULE = 7;
const FRAMES = 3;

/** A still picture of a square in the raw video format that a made-up camera plays: luma first, then grey chroma. */
function videoOf(text: string): Buffer {
  const { modules } = QRCode.create(text, { errorCorrectionLevel: 'M' });
  const luma = Buffer.alloc(SIZE.width * SIZE.height, 235);
  const left = Math.floor((SIZE.width - modules.size * MODULE) / 2);
  const top = Math.floor((SIZE.height - modules.size * MODULE) / 2);
  for (let y = 0; y < modules.size * MODULE; y += 1)
    for (let x = 0; x < modules.size * MODULE; x += 1)
      if (modules.get(Math.floor(y / MODULE), Math.floor(x / MODULE))) luma[(top + y) * SIZE.width + left + x] = 16;
  const frame = Buffer.concat([Buffer.from('FRAME\n'), luma, Buffer.alloc(luma.length / 2, 128)]);
  const head = Buffer.from(`YUV4MPEG2 W${SIZE.width} H${SIZE.height} F10:1 Ip A1:1 C420jpeg\n`);
  return Buffer.concat([head, ...Array.from({ length: FRAMES }, () => frame)]);
}

test('the camera opens the lot whose label it sees, and looks on when a square is none', async ({ page, baseURL }) => {
  await goTo(page, '/stock');
  const lot = page.getByRole('table', { name: 'Lots', exact: true }).getByRole('link').first();
  const href = (await lot.getAttribute('href')) ?? '';
  const { executablePath, args = [] } = test.info().project.use.launchOptions ?? {};
  const folder = mkdtempSync(join(tmpdir(), 'scan-'));
  const seen = [
    { text: `${baseURL}${href}`, ends: href },
    { text: 'https://example.org/another', ends: '/stock/scan' },
  ];
  for (const [index, { text, ends }] of seen.entries()) {
    const video = join(folder, `${index}.y4m`);
    writeFileSync(video, videoOf(text));
    const browser = await chromium.launch({
      ...(executablePath ? { executablePath } : {}),
      args: [
        ...args,
        '--use-fake-ui-for-media-stream',
        '--use-fake-device-for-media-stream',
        `--use-file-for-fake-video-capture=${video}`,
      ],
    });
    const camera = await browser.newPage();
    await camera.goto(`${baseURL}/stock/scan`);
    await camera.getByRole('button', { name: 'Use the camera' }).click();
    if (ends === '/stock/scan') await expect(camera.getByText('is no label of Zorvek; still looking')).toBeVisible();
    await expect(camera).toHaveURL(`${baseURL}${ends}`);
    await browser.close();
  }
  rmSync(folder, { recursive: true });
});
