/** Hands a file to the person. */
export function keepFile(content: Blob, name: string) {
  const link = document.createElement('a');
  link.href = URL.createObjectURL(content);
  link.download = name;
  link.click();
  setTimeout(() => URL.revokeObjectURL(link.href), 1000);
}

export const keepSvg = (svg: string, name: string) => keepFile(new Blob([svg], { type: 'image/svg+xml' }), name);

export const keepText = (text: string, name: string, type: string) => keepFile(new Blob([text], { type }), name);

/** An SVG document as a picture of so many pixels. */
export async function keepPng(
  svg: string,
  { width, height }: { readonly width: number; readonly height: number },
  name: string,
) {
  const image = new Image();
  image.src = URL.createObjectURL(new Blob([svg], { type: 'image/svg+xml' }));
  await image.decode();
  const canvas = document.createElement('canvas');
  canvas.width = width;
  canvas.height = height;
  canvas.getContext('2d')?.drawImage(image, 0, 0, width, height);
  URL.revokeObjectURL(image.src);
  const png = await new Promise<Blob | null>((done) => canvas.toBlob(done, 'image/png'));
  if (png) keepFile(png, name);
}
