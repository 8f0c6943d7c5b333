import { getContext, setContext } from 'svelte';
import { thePlan } from '../plan/context';
import { doubtText } from '../words/doubts';

const SUBJECT = Symbol('the field, group or lot that a form is about');

/** Tells the inputs inside which field, group or lot they belong to. */
export function about(subject: () => string) {
  setContext(SUBJECT, subject);
}

/** What is said beside an input: what is wrong with it, or what is hard to believe. */
export function said(name: () => string | undefined) {
  const open = thePlan();
  const subject = getContext<(() => string) | undefined>(SUBJECT);
  return {
    get wrong(): string {
      const field = name();
      return field ? open.wrong(field) : '';
    },
    get doubt(): string {
      const field = name();
      if (!field || !subject || !open.view) return '';
      const doubt = open.doubt(subject(), field);
      return doubt ? doubtText(doubt, open.system) : '';
    },
  };
}
