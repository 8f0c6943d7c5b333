import type { Attachment } from 'svelte/attachments';

/**
 * Keeps what a hand is on in its place on the screen while what stands above it grows or shrinks, as
 * when a try is answered: the page is scrolled by as much, before it is drawn.
 */
export const steady: Attachment<HTMLElement> = (element) => {
  const place = () => element.getBoundingClientRect().top + scrollY;
  let was = place();
  const seen = new ResizeObserver(() => {
    const by = place() - was;
    was += by;
    if (by !== 0 && element.matches(':hover, :focus-within'))
      scrollBy({ top: by, behavior: 'instant' });
  });
  seen.observe(document.body);
  return () => seen.disconnect();
};
