import { createContext, useContext } from "react";

const Nonce = createContext<string | undefined>(undefined);

export const NonceProvider = Nonce.Provider;

/** The nonce of this page's Content-Security-Policy. */
export function useNonce(): string | undefined {
  return useContext(Nonce);
}
