import type { Attachment } from '@still-pine/contract'
import { fileHere } from '@still-pine/device'
import { Film, ImageIcon, Mic } from 'lucide-react'
import { useState } from 'react'
import { useLiveQuery } from '../../offline/use-live-query'
import { useBlobUrl } from './use-blob-url'
import { KIND_WORDS } from './words'

const ICONS = { picture: ImageIcon, clip: Film, voice: Mic } as const

/** Where the file of an attachment is had: from this device while it lies here, else from the yard. */
export const useAttachmentUrl = ({ id, file }: Attachment, which: 'file' | 'thumbnail') => {
  const taken = useLiveQuery(() => fileHere(id), [id])
  const here = useBlobUrl(which === 'file' ? taken?.file : taken?.thumbnail)
  return here ?? (file === 'here' ? `/api/v1/attachments/${id}/${which}` : undefined)
}

/** The small picture of an attachment, or the sign of its kind where there is none. */
export const Thumbnail = ({ attachment, small = false }: { attachment: Attachment; small?: boolean }) => {
  const { kind, words } = attachment
  const url = useAttachmentUrl(attachment, 'thumbnail')
  const [isMissing, setMissing] = useState(false)
  const Icon = ICONS[kind]
  return (
    <span
      className={`relative flex items-center justify-center overflow-hidden border-2 border-ink bg-panel ${small ? 'size-16' : 'size-24'}`}
    >
      {kind === 'voice' || url === undefined || isMissing ? (
        <Icon aria-hidden="true" className="size-8" />
      ) : (
        <img
          src={url}
          alt={words || KIND_WORDS[kind]}
          className="size-full object-cover"
          onError={() => setMissing(true)}
        />
      )}
      {kind === 'clip' && url !== undefined && !isMissing && (
        <Film aria-hidden="true" className="absolute right-1 bottom-1 size-6 bg-ground text-ink" />
      )}
    </span>
  )
}
