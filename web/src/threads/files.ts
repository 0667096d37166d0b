import { transfer, wrap, type Remote } from 'comlink'
import type { FilesWork, Pictures } from './files.worker'

let started: Remote<FilesWork> | undefined

const worker = (): Remote<FilesWork> =>
  (started ??= wrap<FilesWork>(new Worker(new URL('./files.worker.ts', import.meta.url), { type: 'module' })))

/** A picture drawn anew, with its small twin. It fails where the file is no picture. */
export const picturesOf = (file: Blob): Promise<Pictures> => worker().picturesOf(file)

export const thumbnailOf = (frame: ImageBitmap): Promise<Blob> =>
  worker().thumbnailOf(transfer(frame, [frame]))

export const sha256Of = (file: Blob): Promise<string> => worker().sha256Of(file)
