import type { Drawing } from './drawing';

/** Sets a drawing's attributes on the parts of a mounted plan, and only those that changed. */
export interface Painter {
  paint(drawing: Drawing): void;
}

/**
 * React renders the plan once; while a shoe is dragged the painter changes what moved. Parts are
 * found by `data-part` once and kept.
 */
export function createPainter(root: SVGSVGElement): Painter {
  const parts = new Map<string, Element>([['root', root]]);
  for (const element of root.querySelectorAll('[data-part]')) {
    parts.set(element.getAttribute('data-part')!, element);
  }
  let painted: Drawing = {};
  return {
    paint(drawing) {
      for (const [name, attributes] of Object.entries(drawing)) {
        const element = parts.get(name);
        if (!element) continue;
        const before = painted[name];
        for (const [attribute, value] of Object.entries(attributes)) {
          if (before?.[attribute] === value) continue;
          if (attribute === 'text') element.textContent = value;
          else element.setAttribute(attribute, value);
        }
      }
      painted = drawing;
    },
  };
}
