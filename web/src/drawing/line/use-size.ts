import { useEffect, useRef, useState } from 'react'

/** The width of an element and the size of the page's letters, kept up to date. */
export const useSize = <E extends HTMLElement>() => {
  const ref = useRef<E>(null)
  const [size, setSize] = useState({ width: 0, rem: 16 })
  useEffect(() => {
    const element = ref.current
    if (!element) return
    const look = (): void =>
      setSize({
        width: element.clientWidth,
        rem: parseFloat(getComputedStyle(document.documentElement).fontSize),
      })
    look()
    const observer = new ResizeObserver(look)
    observer.observe(element)
    return () => observer.disconnect()
  }, [])
  return { ref, ...size }
}

const canvas = typeof document === 'undefined' ? null : document.createElement('canvas').getContext('2d')

/** The width of a text in the page's own letters. */
export const textWidth = (
  text: string,
  px: number,
  { family, weight = 700 }: { family: string; weight?: number },
): number => {
  if (!canvas) return text.length * px * 0.55
  canvas.font = `${weight} ${px}px ${family}`
  return canvas.measureText(text).width
}
