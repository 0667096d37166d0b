import { thumbnailOf } from '../../threads/files'

/** A clip that shows nothing in this time has no small picture. */
const PATIENCE_MS = 5_000

const heard = (video: HTMLVideoElement, event: 'loadeddata' | 'seeked'): Promise<void> =>
  new Promise((resolve, reject) => {
    video.addEventListener(event, () => resolve(), { once: true })
    video.addEventListener('error', () => reject(new Error('not a clip')), { once: true })
    setTimeout(() => reject(new Error('too slow')), PATIENCE_MS)
  })

/** The small picture of a clip's first moment; nothing where this browser cannot show it. */
export const clipFrame = async (file: Blob): Promise<Blob | null> => {
  const url = URL.createObjectURL(file)
  try {
    const video = document.createElement('video')
    const loaded = heard(video, 'loadeddata')
    Object.assign(video, { muted: true, playsInline: true, preload: 'auto', src: url })
    await loaded
    return await thumbnailOf(await createImageBitmap(video))
  } catch {
    return null
  } finally {
    URL.revokeObjectURL(url)
  }
}
