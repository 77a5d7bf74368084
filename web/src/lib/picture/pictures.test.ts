import { afterEach, describe, expect, it, vi } from 'vitest';
import { likelyText, pathOf, picturesIn, upload } from './pictures';

afterEach(() => vi.unstubAllGlobals());

describe('a picture', () => {
  it('has a likely text when its name says something', () => {
    expect(likelyText('new-mast_2.png')).toBe('new mast 2');
    for (const name of [
      'IMG_1042.jpg',
      'DSC00017.JPG',
      'image.png',
      'Screenshot 12.png',
      '7.gif'
    ]) {
      expect(likelyText(name), name).toBe('');
    }
  });
  it('is found among what is dropped', () => {
    const boat = new File(['x'], 'boat.png', { type: 'image/png' });
    const list = new File(['x'], 'list.csv', { type: 'text/csv' });
    expect(picturesIn({ files: [list, boat] } as unknown as DataTransfer)).toEqual([boat]);
    expect(picturesIn(null)).toEqual([]);
  });
  it('is put on record and found by its key', async () => {
    const asked = vi.fn(() =>
      Promise.resolve(new Response(JSON.stringify({ key: 'abc', width: 40 }), { status: 200 }))
    );
    vi.stubGlobal('fetch', asked);
    const picture = await upload(new File(['x'], 'a b.png', { type: 'image/png' }));
    expect(asked.mock.calls[0]?.at(0)).toBe('/api/pictures?name=a%20b.png');
    expect(pathOf(picture.key)).toBe('/pictures/abc');
  });
  it('is refused with a sentence when it is none', async () => {
    await expect(upload(new File(['x'], 'list.csv', { type: 'text/csv' }))).rejects.toThrow(
      '“list.csv” is not a picture; attach it instead.'
    );
  });
});
