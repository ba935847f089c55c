import { charges } from "@tensidrum/core/library";
import { writtenMass } from "@tensidrum/core/quantities";
import { Link } from "react-router";
import { chargeWords } from "../components/chargeWords";
import { Frame } from "../frame/Frame";
import { shelfPegs } from "./shelfPegs";
import { WashLine } from "../frame/washLine/WashLine";
import { Vessel } from "../pictures/Vessel/Vessel";
import { boards } from "./boards";
import { FirstToSeeTo } from "./FirstToSeeTo";
import { LibraryTable } from "./LibraryTable";
import type { OpenShelf } from "./shelf.server";
import { ShelfSentence } from "./ShelfSentence";
import classes from "./Shelf.module.css";

/** The cupboard as it really is: what stands there, how much is left, what ends first. */
export function Shelf({ shelf }: { readonly shelf: OpenShelf }) {
  const { filter, concerns } = shelf;
  const state = concerns.length === 0 ? "nothing to see to" : `${concerns.length} to see to`;
  return (
    <Frame
      head={
        <>
          <h1 className={classes.head}>The shelf</h1>
          <span className={classes.day}>{shelf.today}</span>
        </>
      }
      doors={
        <>
          <Link to="/shelf/import" data-act="Import a list of lots">
            Import a list
          </Link>
          <a href="/shelf/lots.csv" data-act="Download the lots as CSV">
            As CSV
          </a>
          <Link to="/shelf/receive" className={classes.receive} data-act="Receive a lot" data-key="r">
            Receive a lot
          </Link>
        </>
      }
      line={<WashLine pegs={shelfPegs(state, concerns.length > 0)} />}
    >
      <title>The shelf, Tensidrum</title>
      <div className={classes.page}>
        <div>
          <ShelfSentence filter={filter} boards={boards} charges={charges.map((charge) => ({ charge, name: chargeWords[charge].name }))} />
          {filter.where === "library" ? <LibraryTable shelf={shelf} /> : <Boards shelf={shelf} />}
        </div>
        <FirstToSeeTo concerns={concerns} />
      </div>
    </Frame>
  );
}

function Boards({ shelf }: { readonly shelf: OpenShelf }) {
  if (shelf.standingCount === 0) {
    return (
      <p className={classes.empty}>
        Nothing stands here yet. <Link to="/shelf/receive">Receive the first lot</Link>: what is written on the bottle, how much came in it,
        how strong it is by its certificate. The Sheet then counts with it.
      </p>
    );
  }
  if (shelf.boards.length === 0) {
    return (
      <p className={classes.empty}>
        Nothing like that stands here.{" "}
        <Link to={`/shelf?where=library&find=${encodeURIComponent(shelf.filter.find)}`}>Look in the library</Link> of {shelf.libraryCount}.
      </p>
    );
  }
  return (
    <>
      {shelf.boards.map((board) => (
        <section key={board.slug} className={classes.board} aria-label={board.name}>
          <div className={classes.name}>
            <h2>{board.name}</h2>
            <p>{board.things.length === 1 ? "1 material" : `${board.things.length} materials`}</p>
          </div>
          <ul>
            {board.things.map((thing) => (
              <li key={thing.slug} data-concern={thing.concern ?? undefined}>
                <Link to={`/shelf/${thing.slug}`}>
                  <span className={classes.glass}>
                    <Vessel {...thing} tint={board.tint} />
                    {thing.ends !== null && (
                      <span className={classes.tag} data-soon={thing.concern === "ends" || thing.concern === "ended" || undefined}>
                        {thing.ends}
                      </span>
                    )}
                  </span>
                  <span className={classes.thing}>{thing.name}</span>
                </Link>
                <span className={classes.left}>
                  {writtenMass(thing.leftGrams)}
                  {thing.concern === "low" && <em>, low</em>}
                  {thing.concern === "ended" && <em>, ended</em>}
                </span>
              </li>
            ))}
          </ul>
        </section>
      ))}
      <p className={classes.legend}>The glass is the pack, the fill what is left; the tag is the month it ends.</p>
    </>
  );
}
