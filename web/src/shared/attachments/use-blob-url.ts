import { useEffect, useState } from 'react'

/** An address for something that lies in memory or on this device, as long as it is shown. */
export const useBlobUrl = (blob: Blob | null | undefined): string | undefined => {
  const [url, setUrl] = useState<string>()
  useEffect(() => {
    if (!blob) return setUrl(undefined)
    const made = URL.createObjectURL(blob)
    setUrl(made)
    return () => URL.revokeObjectURL(made)
  }, [blob])
  return url
}
