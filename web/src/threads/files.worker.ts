import { expose } from 'comlink'

/** The longest side of a picture as it is kept, and of the small one that stands for it in lists; pixels. */
const KEPT_SIDE = 2_048
const SMALL_SIDE = 480

/** A picture and its small twin. */
export interface Pictures {
  readonly picture: Blob
  readonly thumbnail: Blob
}

const drawn = (from: ImageBitmap, longest: number, quality: number): Promise<Blob> => {
  const scale = Math.min(1, longest / Math.max(from.width, from.height))
  const canvas = new OffscreenCanvas(
    Math.max(1, Math.round(from.width * scale)),
    Math.max(1, Math.round(from.height * scale)),
  )
  const context = canvas.getContext('2d')!
  // What a picture lets through is paper, not black.
  context.fillStyle = '#fff'
  context.fillRect(0, 0, canvas.width, canvas.height)
  context.drawImage(from, 0, 0, canvas.width, canvas.height)
  return canvas.convertToBlob({ type: 'image/jpeg', quality })
}

/** Drawing and reckoning over whole files, away from the page. */
const files = {
  /** Draws a picture anew, smaller, and with nothing in the file but the picture: not where it was taken, nor by what. */
  picturesOf: async (file: Blob): Promise<Pictures> => {
    const bitmap = await createImageBitmap(file)
    const pictures = {
      picture: await drawn(bitmap, KEPT_SIDE, 0.85),
      thumbnail: await drawn(bitmap, SMALL_SIDE, 0.72),
    }
    bitmap.close()
    return pictures
  },

  /** The small picture of one frame. */
  thumbnailOf: async (frame: ImageBitmap): Promise<Blob> => {
    const thumbnail = await drawn(frame, SMALL_SIDE, 0.72)
    frame.close()
    return thumbnail
  },

  /** The SHA-256 of a file, in hexadecimal. */
  sha256Of: async (file: Blob): Promise<string> => {
    const sum = new Uint8Array(await crypto.subtle.digest('SHA-256', await file.arrayBuffer()))
    return [...sum].map((byte) => byte.toString(16).padStart(2, '0')).join('')
  },
}

export type FilesWork = typeof files

expose(files)
