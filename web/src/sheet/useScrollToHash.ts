import { useEffect } from 'react';
import { useLocation } from 'react-router';

/** Scrolls to what the address names, once it is there. */
export function useScrollToHash(there = true): void {
  const { hash } = useLocation();
  useEffect(() => {
    if (there && hash.length > 1) document.getElementById(hash.slice(1))?.scrollIntoView({ block: 'center' });
  }, [hash, there]);
}
