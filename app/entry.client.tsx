import { setNonce } from "get-nonce";
import { startTransition, StrictMode } from "react";
import { hydrateRoot } from "react-dom/client";
import { HydratedRouter } from "react-router/dom";
import { NonceProvider } from "./frame/nonce";
import { tellZone } from "./frame/zone";

const nonce = document.querySelector<HTMLScriptElement>("script[nonce]")?.nonce;
if (nonce !== undefined) setNonce(nonce);

tellZone();

startTransition(() => {
  hydrateRoot(
    document,
    <StrictMode>
      <NonceProvider value={nonce}>
        <HydratedRouter />
      </NonceProvider>
    </StrictMode>,
  );
});
