import { useEffect, type ReactNode } from "react";
import { isRouteErrorResponse } from "react-router";
import { Frame } from "./Frame";
import classes from "./ProblemPage.module.css";
import { stationsSeenFrom } from "./stationNav/stations";
import { StationNav } from "./stationNav/StationNav";

interface Told {
  readonly title: string;
  readonly message: string;
  readonly remedy: string;
}

const APOLOGY: Told = {
  title: "Something broke on our side",
  message: "The page could not be made. What you saved is untouched.",
  remedy: "Load the page again. If it breaks again, go back to Today.",
};

const AWAY: Told = {
  title: "Database unavailable",
  message: "The page cannot be read just now. What you saved is safe, and what you typed stays in this browser.",
  remedy: "Wait a moment and load the page again. If it stays away, stop bin/start with Ctrl-C and start it again.",
};

const titles: Readonly<Record<number, string>> = {
  404: "That is not here",
  413: "That is too large",
  503: "Busy just now",
  507: "The disk is full",
};

/** What a thrown problem says to the maker. Internals are never shown. */
export function toldOf(error: unknown): Told {
  if (!isRouteErrorResponse(error)) return APOLOGY;
  const { message, remedy } = (error.data ?? {}) as { message?: unknown; remedy?: unknown };
  if (typeof message === "string" && typeof remedy === "string") {
    return { title: titles[error.status] ?? "That cannot be done", message, remedy };
  }
  if (error.status === 503) return AWAY;
  if (error.status === 404) {
    return { title: "That is not here", message: "No page lies at this address.", remedy: "Go back to Today and open it from there." };
  }
  return APOLOGY;
}

/** A page for what went wrong: what, and what to do now. */
export function ProblemPage({ error, children }: { readonly error: unknown; readonly children?: ReactNode }) {
  const told = toldOf(error);
  useTryAgain(told.remedy === TRIED_AGAIN);
  return (
    <Frame
      head={<span className={classes.head}>{told.title}</span>}
      line={<StationNav stations={stationsSeenFrom(null, { to: "/", state: "from Today", isAlarm: false })} />}
    >
      <title>{`${told.title}, Tensidrum`}</title>
      <section className={classes.problem}>
        <BareBottle />
        <div>
          <h1>{told.title}</h1>
          <p>{told.message}</p>
          <p>{told.remedy}</p>
          {children}
          <p className={classes.doors}>
            <a href="">Load again</a>
            <a href="/">Today</a>
          </p>
        </div>
      </section>
    </Frame>
  );
}

/** What a page says that only asked; a form is never sent a second time by itself. */
const TRIED_AGAIN = "This page tries again every 2 seconds.";
const AGAIN_MILLISECONDS = 2_000;

function useTryAgain(isBusy: boolean): void {
  useEffect(() => {
    if (!isBusy) return;
    const timer = setTimeout(() => window.location.reload(), AGAIN_MILLISECONDS);
    return () => clearTimeout(timer);
  }, [isBusy]);
}

function BareBottle() {
  return (
    <svg width="88" height="190" viewBox="0 0 88 190" aria-hidden="true" fill="none" stroke="var(--ink)" strokeWidth="1.5">
      <path d="M30 6h28M33 6v56C33 74 8 76 8 92v82q0 8 8 8h56q8 0 8-8V92C80 76 55 74 55 62V6" strokeLinecap="round" />
      <path d="M26 62h-6m6-14h-3m3-14h-6m6-14h-3" />
    </svg>
  );
}
