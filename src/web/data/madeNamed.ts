import { skipToken } from '@reduxjs/toolkit/query';
import { useEffect, useState } from 'react';
import { useMadeNamedQuery } from './kitchenApi';

const QUIET_MS = 200;
const SHORTEST = 3;

/** Asks the kitchen for formulas called so, once typing rests; what it finds joins the catalogue. */
export function useMadeNamed(words: string): void {
  const [asked, setAsked] = useState('');
  useEffect(() => {
    const timer = setTimeout(() => {
      setAsked(words);
    }, QUIET_MS);
    return () => {
      clearTimeout(timer);
    };
  }, [words]);
  useMadeNamedQuery(asked.length >= SHORTEST ? asked : skipToken);
}
