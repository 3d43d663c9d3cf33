/**
 * How much a page says and asks at once: words (a key's letter is none) and controls that can be seen without scrolling, outside the navigation and the
 * bar of light. Runs in the page.
 *
 * @returns {{ words: number, controls: number, onPage: number }} `onPage` with what has to be scrolled to
 */
export function inSight() {
  const OUTSIDE = 'nav, header, [aria-label="Light"], [role=status]:empty'
  const isOutside = (element) => {
    const outside = element.closest(OUTSIDE)
    return outside !== null && !outside.closest('main')
  }
  /** What of a box can be seen: cut by the window and by each that scrolls or hides what runs over. */
  const isSeen = (box, from) => {
    let [left, top, right, bottom] = [box.left, box.top, box.right, box.bottom]
    const cut = (by) => {
      ;[left, top] = [Math.max(left, by.left), Math.max(top, by.top)]
      ;[right, bottom] = [Math.min(right, by.right), Math.min(bottom, by.bottom)]
    }
    cut({ left: 0, top: 0, right: innerWidth, bottom: innerHeight })
    for (let at = from; at; at = at.parentElement)
      if (getComputedStyle(at).overflow !== 'visible') cut(at.getBoundingClientRect())
    // A line that is cut in half is not read.
    return right - left > 1 && bottom - top > 0.6 * Math.min(box.height, 16)
  }
  const isShown = (element) =>
    element.checkVisibility({ visibilityProperty: true, opacityProperty: true })
  let words = 0
  let onPage = 0
  const walker = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT)
  for (let node = walker.nextNode(); node; node = walker.nextNode()) {
    const parent = node.parentElement
    if (
      parent.closest('script, style, option, title, kbd') ||
      isOutside(parent) ||
      !isShown(parent)
    )
      continue
    if (parent.closest('details:not([open])') && !parent.closest('summary')) continue
    for (const { index, 0: word } of node.data.matchAll(/\S*[\p{L}\p{N}]\S*/gu)) {
      const range = document.createRange()
      range.setStart(node, index)
      range.setEnd(node, index + word.length)
      const box = range.getBoundingClientRect()
      // What is only for those who listen is one pixel wide.
      if (box.width <= 1 || parent.closest('.sr-only')) continue
      onPage++
      if (isSeen(box, parent)) words++
    }
  }
  // Of a select the choice that shows.
  for (const select of document.querySelectorAll('select')) {
    if (isOutside(select) || !isShown(select)) continue
    const said = (select.selectedOptions[0]?.text ?? '').split(/\s+/).filter(Boolean).length
    onPage += said
    if (isSeen(select.getBoundingClientRect(), select.parentElement)) words += said
  }
  const controls = [
    ...document.querySelectorAll(
      'a[href], button, input:not([type=hidden]), select, textarea, summary, [role=slider], [role=tab], [role=radio], [contenteditable=true]',
    ),
  ].filter(
    (each) =>
      !isOutside(each) && isShown(each) && isSeen(each.getBoundingClientRect(), each.parentElement),
  ).length
  return { words, controls, onPage }
}
