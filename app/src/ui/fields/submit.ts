import { createContext, useContext } from 'react';

const Submit = createContext<(() => void) | undefined>(undefined);

/** What Enter does in every line of a form: what its one button does. */
export const SubmitProvider = Submit.Provider;
export const useSubmit = () => useContext(Submit);
