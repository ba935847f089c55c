import { Text } from "@mantine/core";
import { Link } from "react-router";
import { explanations } from "../../components/estimates/explanations";
import { PageHeader } from "../../components/PageHeader";
import { Frame } from "../Frame";
import { stationsSeenFrom } from "../stationNav/stations";
import { StationNav } from "../stationNav/StationNav";
import { helpTopics, type HelpTopic } from "./pages";
import { pictures } from "./pictures";
import classes from "./HelpPage.module.css";

/** The topics of help in the practitioner's order, or one of them. */
export function HelpPage({ slug }: { readonly slug: string | null }) {
  const topic = helpTopics.find((one) => one.slug === slug);
  return (
    <Frame
      head={<PageHeader>{topic?.title ?? "Help"}</PageHeader>}
      doors={topic === undefined ? <Link to="/">Today</Link> : <Link to="/help">All help</Link>}
      line={<StationNav stations={stationsSeenFrom(null, { to: "/", state: "your formulas", isAlarm: false })} />}
    >
      <title>{`${topic?.title ?? "Help"}, Tensidrum`}</title>
      {topic === undefined ? <Topics /> : <Topic topic={topic} />}
    </Frame>
  );
}

function Topics() {
  return (
    <ol className={classes.topics}>
      {helpTopics.map(({ slug, title, steps }) => (
        <li key={slug}>
          <Link to={`/help/${slug}`}>{title}</Link>
          <Text m={0}>{steps[0]}</Text>
        </li>
      ))}
    </ol>
  );
}

function Topic({ topic: { slug, steps, picture, alt, doors } }: { readonly topic: HelpTopic }) {
  const at = helpTopics.findIndex((one) => one.slug === slug);
  const next = helpTopics[at + 1];
  const image = picture === null ? undefined : pictures[picture];
  return (
    <div className={classes.topic}>
      <div>
        <ol className={classes.steps}>
          {steps.map((step) => (
            <li key={step}>{step}</li>
          ))}
        </ol>
        {slug === "estimates" && <Estimates />}
        <p className={classes.doors}>
          {doors.map(({ to, words }) => (
            <Link key={to} to={to}>
              {words}
            </Link>
          ))}
          {next !== undefined && <Link to={`/help/${next.slug}`}>{`Next: ${next.title}`}</Link>}
        </p>
      </div>
      {image !== undefined && <img className={classes.picture} src={image} alt={alt} loading="lazy" />}
    </div>
  );
}

const names: Readonly<Record<keyof typeof explanations, string>> = {
  irritation: "Irritation index",
  foam: "Foam",
  cost: "Cost",
  density: "Density",
  rawPh: "pH before it is set",
  waterActivity: "Water activity",
  working: "Working share of a preservative",
  clarity: "Clarity",
  thickening: "How it thickens",
  salt: "Salt in all",
};

function Estimates() {
  return (
    <dl className={classes.estimates}>
      {Object.entries(explanations).map(([of, { mark, words, source }]) => (
        <div key={of} id={of}>
          <dt>
            {names[of as keyof typeof explanations]} <small>{mark}</small>
          </dt>
          <dd>
            {words} <em>{source}.</em>
          </dd>
        </div>
      ))}
    </dl>
  );
}
