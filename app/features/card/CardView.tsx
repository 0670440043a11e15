import { cardHtml } from '@pedastance/card/render';
import type { Card } from '@pedastance/core/card';
import { createElement, useEffect } from 'react';

const STYLE = '/card/card.css';

/** The card's own style, once on the page: it is the student's page's, word for word. */
function useCardStyle(): void {
  useEffect(() => {
    if (document.querySelector(`link[href="${STYLE}"]`)) return;
    document.head.append(Object.assign(document.createElement('link'), { rel: 'stylesheet', href: STYLE }));
  }, []);
}

/** A card as the student will see it; its words are escaped where they are made into HTML. */
export function CardView({ card }: { card: Card }) {
  useCardStyle();
  return createElement('div', {
    'data-testid': 'card-view',
    dangerouslySetInnerHTML: { __html: cardHtml(card) },
  });
}

/** Prints a card by itself: one side of paper, or a file where the browser makes one. */
export function printCard(card: Card, title: string): void {
  const frame = document.createElement('iframe');
  frame.setAttribute('aria-hidden', 'true');
  frame.className = 'card-print-frame';
  frame.title = title;
  frame.srcdoc = `<!doctype html><html lang="en"><head><title>${title}</title><link rel="stylesheet" href="/shell.css"><link rel="stylesheet" href="${STYLE}"></head><body class="card-page">${cardHtml(card)}</body></html>`;
  frame.addEventListener('load', () => {
    const page = frame.contentWindow!;
    page.addEventListener('afterprint', () => frame.remove());
    void page.document.fonts.ready.then(() => page.print());
  });
  document.body.append(frame);
}
