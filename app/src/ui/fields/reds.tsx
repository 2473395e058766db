import { createContext, useContext, useEffect, useId, useMemo, type ReactNode } from 'react';

/** The lines of a form with something wrong in them, each with how one gets there. */
interface Reds {
  set: (id: string, lead: (() => void) | null) => void;
  /** Leads to the first line with something wrong in it. */
  lead: () => boolean;
}

const NO_FORM: Reds = { set: () => undefined, lead: () => false };
const RedsOf = createContext<Reds>(NO_FORM);

/** A form: nothing is saved from it while a line of it is red. */
export function Form({ children }: { children: ReactNode }) {
  const reds = useMemo((): Reds => {
    const lines = new Map<string, () => void>();
    return {
      set: (id, lead) => void (lead ? lines.set(id, lead) : lines.delete(id)),
      lead: () => {
        const [first] = lines.values();
        first?.();
        return first !== undefined;
      },
    };
  }, []);
  return <RedsOf.Provider value={reds}>{children}</RedsOf.Provider>;
}

/** Tells the form that a line is red, for as long as it is. */
export function useRed(isRed: boolean, lead: () => void): void {
  const id = useId();
  const { set } = useContext(RedsOf);
  useEffect(() => {
    set(id, isRed ? lead : null);
    return () => set(id, null);
  });
}

/** @returns what leads to the first red line of the form round it; false where there is none */
export const useLeadToRed = (): (() => boolean) => useContext(RedsOf).lead;
