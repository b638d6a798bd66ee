/**
 * How often a page hears how far its background work is: at each tenth done, ten times in all. Work that told of every
 * handful would have the page draw its progress so often that what a person asked for meanwhile was begun anew each
 * time and, on a slow machine, never shown.
 * @returns asked with the share done so far, 0 to 1: whether this share is worth showing
 */
export function tenths(): (share: number) => boolean {
  let shown = 0;
  return (share) => {
    const now = Math.floor(share * 10 + 1e-9);
    if (now <= shown) return false;
    shown = now;
    return true;
  };
}
