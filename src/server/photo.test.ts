import sharp from 'sharp'
import { takePhoto } from './photo'

const picture = (width: number, height: number) =>
  sharp({ create: { width, height, channels: 3, background: '#2a7f8e' } })

describe('taking a photo in', () => {
  it('encodes it anew, upright and small enough, without what the camera wrote into it', async () => {
    const source = await picture(3000, 2000)
      .withExif({ IFD0: { Copyright: 'secret' } })
      .withMetadata({ orientation: 6 })
      .jpeg()
      .toBuffer()
    const { image, width, height } = await takePhoto(source)
    const meta = await sharp(image).metadata()
    expect([width, height]).toEqual([1067, 1600])
    expect(meta).toMatchObject({ format: 'jpeg', width: 1067, height: 1600 })
    expect(meta.exif).toBeUndefined()
  })
  it('leaves a small one its size', async () => {
    expect(await takePhoto(await picture(300, 200).png().toBuffer())).toMatchObject({ width: 300, height: 200 })
  })
  it.each([
    ['text', Buffer.from('not a photo')],
    ['nothing', Buffer.alloc(0)],
    [
      'a drawing with a script',
      Buffer.from('<svg xmlns="http://www.w3.org/2000/svg" width="9" height="9"><script/></svg>'),
    ],
  ])('refuses %s, whatever it is called', async (_, bytes) => {
    await expect(takePhoto(bytes)).rejects.toThrow('is not a JPEG, PNG or WebP photo')
  })
  it('refuses half a photo and one that is too large', async () => {
    const whole = await picture(400, 400).jpeg().toBuffer()
    await expect(takePhoto(whole.subarray(0, whole.length / 2))).rejects.toThrow('is not a JPEG')
    await expect(takePhoto(new Uint8Array(20_000_001))).rejects.toThrow('larger than 20 MB')
  })
  it('is refused by its pixels before one is decoded, however small the file', async () => {
    const wide = await sharp({ create: { width: 8000, height: 5200, channels: 3, background: '#123' } })
      .jpeg({ quality: 20 })
      .toBuffer()
    expect(wide.length).toBeLessThan(2_000_000)
    await expect(takePhoto(wide)).rejects.toThrow('more than 40 megapixels')
  })
})
