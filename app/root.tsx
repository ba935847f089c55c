import "./frame/layers.css";
import "@fontsource-variable/literata/opsz.css";
import "@fontsource-variable/sofia-sans/index.css";
import "@fontsource-variable/sofia-sans-semi-condensed/index.css";
import "@mantine/core/styles/baseline.layer.css";
import "@mantine/core/styles/default-css-variables.layer.css";
import "@mantine/core/styles/global.layer.css";
import "@mantine/core/styles/UnstyledButton.layer.css";
import "@mantine/core/styles/Button.layer.css";
import "@mantine/core/styles/Group.layer.css";
import "@mantine/core/styles/Stack.layer.css";
import "@mantine/core/styles/Grid.layer.css";
import "@mantine/core/styles/SimpleGrid.layer.css";
import "@mantine/core/styles/Input.layer.css";
import "@mantine/core/styles/InlineInput.layer.css";
import "@mantine/core/styles/Checkbox.layer.css";
import "@mantine/core/styles/Radio.layer.css";
import "@mantine/core/styles/Chip.layer.css";
import "@mantine/core/styles/Alert.layer.css";
import "@mantine/core/styles/Overlay.layer.css";
import "@mantine/core/styles/CloseButton.layer.css";
import "@mantine/core/styles/ModalBase.layer.css";
import "@mantine/core/styles/Modal.layer.css";
import "@mantine/core/styles/Progress.layer.css";
import "@mantine/core/styles/ScrollArea.layer.css";
import "@mantine/core/styles/Popover.layer.css";
import "@mantine/core/styles/Combobox.layer.css";
import "./frame/libraryStyles.css";
import "./frame/tokens.css";
import { ColorSchemeScript, mantineHtmlProps, MantineProvider } from "@mantine/core";
import { useEffect, type ReactNode } from "react";
import { data, Links, type LinksFunction, Meta, Outlet, Scripts, ScrollRestoration, type ShouldRevalidateFunctionArgs } from "react-router";
import type { Route } from "./+types/root";
import { refusedBefore, requestOrigin } from "./frame/requestContext.server";
import { workplaceOf } from "./frame/workplaceOf.server";
import { atWorkplace } from "../db/workplace.server";
import { ProblemPage } from "./frame/ProblemPage";
import { useNonce } from "./frame/nonce";
import { useEnterKey } from "./frame/enterKey";
import { openBenchState } from "./frame/restingBatches.server";
import { openUnits } from "./frame/units.server";
import { theme } from "./frame/theme";

/** What the server refused before any route saw it is told by the same pages as every other refusal. */
export const middleware: Route.MiddlewareFunction[] = [
  ({ context }, next) => {
    const refused = context.get(refusedBefore);
    if (refused === null) return next();
    throw data({ message: refused.message, remedy: refused.remedy }, { status: refused.status });
  },
  async ({ context }, next) => atWorkplace(await workplaceOf(context.get(requestOrigin)), next),
];

export const loader = async () => {
  const [units, bench] = await Promise.all([openUnits(), openBenchState()]);
  return { units, bench };
};

/** Units change on the settings alone; what rests on the bench, on the way from it. */
export const shouldRevalidate = ({ formAction, currentUrl, nextUrl }: ShouldRevalidateFunctionArgs): boolean =>
  formAction === "/settings" || (currentUrl.pathname.startsWith("/bench/") && nextUrl.pathname !== currentUrl.pathname);

export const links: LinksFunction = () => [{ rel: "icon", href: "/favicon.svg", type: "image/svg+xml" }];

export function Layout({ children }: { children: ReactNode }) {
  const nonce = useNonce();
  return (
    <html lang="en-GB" {...mantineHtmlProps}>
      <head>
        <meta charSet="utf-8" />
        <meta name="viewport" content="width=device-width, initial-scale=1" />
        <ColorSchemeScript nonce={nonce} suppressHydrationWarning defaultColorScheme="auto" />
        <Meta />
        <Links nonce={nonce} />
      </head>
      <body>
        <MantineProvider
          theme={theme}
          defaultColorScheme="auto"
          // They stand in a style sheet of their own, which a browser keeps.
          withCssVariables={false}
          withGlobalClasses={false}
          getStyleNonce={() => nonce ?? ""}
        >
          {children}
        </MantineProvider>
        <ScrollRestoration nonce={nonce} />
        <Scripts nonce={nonce} />
      </body>
    </html>
  );
}

export default function App() {
  useEnterKey();
  useEffect(() => void import("./frame/focusAfterForm").then(({ keepFocusAfterForms }) => keepFocusAfterForms()), []);
  return <Outlet />;
}

export function ErrorBoundary({ error }: { error: unknown }) {
  return <ProblemPage error={error} />;
}
