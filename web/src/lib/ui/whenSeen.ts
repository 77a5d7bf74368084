import type { Attachment } from 'svelte/attachments';

/** Calls each time the element comes near to sight: the end of a list, whose next page is wanted. */
export function whenSeen(act: () => void): Attachment {
  return (element) => {
    const observer = new IntersectionObserver((seen) => seen[0]?.isIntersecting && act(), {
      rootMargin: '600px'
    });
    observer.observe(element);
    return () => observer.disconnect();
  };
}
