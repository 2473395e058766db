import type { Page } from '@playwright/test';

/**
 * What is wrong with how a screen is laid out: text that is cut off, something to press that lies beyond the edge, or two
 * of them over each other. Handles lie on drawings on purpose and are left out.
 */
export function layoutFaults(page: Page): Promise<string[]> {
  return page.evaluate(() => {
    const faults: string[] = [];
    const nameOf = (node: Element) =>
      (node.getAttribute('aria-label') ?? node.textContent ?? '').trim().replace(/\s+/g, ' ').slice(0, 40);
    const clip = (node: Element): DOMRect | null => {
      let { left, top, right, bottom } = node.getBoundingClientRect();
      for (let up = node.parentElement; up; up = up.parentElement) {
        const { overflowX, overflowY } = getComputedStyle(up);
        const box = up.getBoundingClientRect();
        if (overflowX !== 'visible') [left, right] = [Math.max(left, box.left), Math.min(right, box.right)];
        if (overflowY !== 'visible') [top, bottom] = [Math.max(top, box.top), Math.min(bottom, box.bottom)];
      }
      [top, bottom] = [Math.max(top, 0), Math.min(bottom, innerHeight)];
      return right - left > 1 && bottom - top > 1 ? new DOMRect(left, top, right - left, bottom - top) : null;
    };
    const seen = (node: Element) => {
      const style = getComputedStyle(node);
      return style.visibility !== 'hidden' && style.display !== 'none' && !node.closest('[aria-hidden="true"]');
    };
    const staying = (node: Element) => {
      for (let up: Element | null = node; up; up = up.parentElement)
        if (getComputedStyle(up).position === 'sticky') return up;
      return null;
    };
    for (const text of document.querySelectorAll<HTMLElement>('[dir]')) {
      if (!seen(text) || !text.textContent?.trim() || getComputedStyle(text).overflow !== 'hidden') continue;
      if (text.scrollWidth > text.clientWidth + 1) faults.push(`cut off: ${nameOf(text)}`);
    }
    const pressed = Array.from(
      document.querySelectorAll<HTMLElement>(
        'a, button, [role="button"], [role="link"], [role="radio"], [role="tab"], [role="combobox"], [role="switch"], [role="option"], input:not([type="range"]), textarea',
      ),
    ).filter(seen);
    const boxes = pressed.flatMap((node) => {
      const box = clip(node);
      return box ? [{ node, box, whole: node.getBoundingClientRect() }] : [];
    });
    for (const { node, whole } of boxes)
      if (whole.right > innerWidth + 1 || whole.left < -1) faults.push(`beyond the edge: ${nameOf(node)}`);
    boxes.forEach(({ node, box }, index) => {
      for (const other of boxes.slice(index + 1)) {
        if (node.contains(other.node) || other.node.contains(node)) continue;
        // what stays in sight has the rest of the page pass under it
        if (staying(node) !== staying(other.node)) continue;
        // the sign that clears a line lies at its end
        if (node.matches('input') && node.parentElement?.contains(other.node)) continue;
        const wide = Math.min(box.right, other.box.right) - Math.max(box.left, other.box.left);
        const high = Math.min(box.bottom, other.box.bottom) - Math.max(box.top, other.box.top);
        if (wide > 2 && high > 2) faults.push(`over each other: ${nameOf(node)} | ${nameOf(other.node)}`);
      }
    });
    return faults;
  });
}
