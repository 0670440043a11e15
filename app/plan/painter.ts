import type { Drawing } from './parts';

/** Sets a drawing's attributes on the parts of a mounted plan, and only those that changed. */
export interface Painter {
  paint(drawing: Drawing): void;
}

function set(element: Element, attribute: string, value: string): void {
  if (attribute === 'text') element.textContent = value;
  else if (attribute.startsWith('--')) (element as SVGElement).style.setProperty(attribute, value);
  else element.setAttribute(attribute, value);
}

/**
 * React renders the plan once; while a shoe is dragged the painter changes what moved. Parts are
 * found by `data-part` once and kept.
 */
export function createPainter(sheet: Element): Painter {
  const parts = new Map<string, Element>();
  for (const element of sheet.querySelectorAll('[data-part]')) {
    parts.set(element.getAttribute('data-part')!, element);
  }
  let painted: Drawing = {};
  return {
    paint(drawing) {
      for (const name in drawing) {
        const attributes = drawing[name]!;
        const before = painted[name];
        const element = parts.get(name);
        if (attributes === before || !element) continue;
        for (const attribute in attributes) {
          const value = attributes[attribute]!;
          if (before?.[attribute] !== value) set(element, attribute, value);
        }
      }
      painted = drawing;
    },
  };
}
