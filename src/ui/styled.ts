/**
 * Places that are worked out for one element, set on the element itself: a style that stands in the page's text is
 * refused by its security policy. To be given as `ref`.
 */
export const styled =
  (style: Partial<Record<'left' | 'right' | 'top' | 'width' | 'minHeight' | 'transform', string>>) =>
  (element: HTMLElement | SVGElement | null) => {
    if (element) Object.assign(element.style, style)
  }
