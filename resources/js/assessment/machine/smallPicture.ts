const LONG_SIDE = 1600;
const QUALITY = 0.82;

/**
 * A photograph made small on this device, so that it travels through a poor network and waits without one: drawn anew, so that it
 * says no longer where it was taken.
 * @returns base64 of a JPEG
 * @throws DOMException where the file is no picture
 */
export async function smallPicture(file: Blob): Promise<string> {
  const picture = await createImageBitmap(file, { imageOrientation: 'from-image' });
  const part = Math.min(1, LONG_SIDE / Math.max(picture.width, picture.height));
  const canvas = document.createElement('canvas');
  canvas.width = Math.max(1, Math.round(picture.width * part));
  canvas.height = Math.max(1, Math.round(picture.height * part));
  const pen = canvas.getContext('2d');
  if (pen === null) throw new DOMException('No picture can be drawn here.');
  pen.fillStyle = '#fff';
  pen.fillRect(0, 0, canvas.width, canvas.height);
  pen.drawImage(picture, 0, 0, canvas.width, canvas.height);
  picture.close();
  return canvas.toDataURL('image/jpeg', QUALITY).split(',')[1] ?? '';
}
