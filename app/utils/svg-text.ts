/** What of a drawing's looks comes from the page and must stand in the drawing itself. */
const LOOKS = [
  'fill', 'fill-opacity', 'stroke', 'stroke-width', 'stroke-dasharray', 'stroke-linecap', 'stroke-linejoin', 'stroke-opacity', 'opacity',
  'font-family', 'font-size', 'font-weight', 'text-anchor', 'dominant-baseline', 'paint-order',
] as const
const SVG = 'http://www.w3.org/2000/svg'

/** A drawing on the page as an SVG of its own, with the looks that the page gives it; what is not shown is left out. */
export function svgText(drawing: SVGSVGElement): string {
  const copy = drawing.cloneNode(true) as SVGSVGElement
  const [own, copied] = [drawing, copy].map(one => [one, ...one.querySelectorAll('*')])
  const hidden: Element[] = []
  own?.forEach((element, index) => {
    const [looks, to] = [getComputedStyle(element), copied?.[index]]
    if (!to) return
    if (looks.display === 'none' || looks.visibility === 'hidden') hidden.push(to)
    for (const name of LOOKS) {
      const value = looks.getPropertyValue(name)
      if (value && !value.includes('url(')) to.setAttribute(name, value)
    }
    for (const name of [...to.getAttributeNames()])
      if (name === 'class' || name === 'style' || name.startsWith('data-') || name === 'tabindex') to.removeAttribute(name)
  })
  for (const one of hidden) one.remove()
  const { width, height } = drawing.getBoundingClientRect()
  copy.setAttribute('xmlns', SVG)
  if (!copy.hasAttribute('width')) copy.setAttribute('width', String(Math.round(width)))
  if (!copy.hasAttribute('height')) copy.setAttribute('height', String(Math.round(height)))
  return new XMLSerializer().serializeToString(copy)
}
