import { charges } from "@tensidrum/core/library";
import { Link } from "react-router";
import { chargeWords } from "../components/chargeWords";
import { PageHeader } from "../components/PageHeader";
import { Frame } from "../frame/Frame";
import { useUnits } from "../frame/units";
import { shelfStations } from "./shelfStation";
import { StationNav } from "../frame/stationNav/StationNav";
import { Vessel } from "../pictures/Vessel/Vessel";
import { allShelfGroups } from "./shelfGroups";
import { FoundAtOnce } from "./FoundAtOnce";
import { NeedsAttention } from "./NeedsAttention";
import { LibraryTable } from "./LibraryTable";
import type { OpenShelf } from "./shelf.server";
import { ShelfSentence } from "./ShelfSentence";
import classes from "./Shelf.module.css";
import { useFindAtOnce } from "./useFindAtOnce";

/** The cupboard as it really is: what stands there, how much is left, what ends first. */
export function Shelf({ shelf }: { readonly shelf: OpenShelf }) {
  const { filter, concerns } = shelf;
  const atOnce = useFindAtOnce();
  const state = concerns.length === 0 ? "nothing needs attention" : `${concerns.length} need attention`;
  return (
    <Frame
      head={<PageHeader beside={shelf.today}>The shelf</PageHeader>}
      doors={
        <>
          <Link to="/shelf/outlook" data-act="Plan batches; what can I make of the shelf" data-key="o">
            Outlook
          </Link>
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
      line={<StationNav stations={shelfStations(state, concerns.length > 0)} />}
    >
      <title>The shelf, Tensidrum</title>
      <div className={classes.page}>
        <div>
          <ShelfSentence
            filter={filter}
            onFocus={atOnce.load}
            onType={atOnce.type}
            shelfGroups={allShelfGroups}
            flags={shelf.flags}
            charges={charges.map((charge) => ({ charge, name: chargeWords[charge].name }))}
          />
          {atOnce.found !== null ? (
            <FoundAtOnce found={atOnce.found} standing={new Set(shelf.standing)} />
          ) : filter.where === "library" ? (
            <LibraryTable shelf={shelf} />
          ) : (
            <ShelfGroups shelf={shelf} />
          )}
        </div>
        <div>
          <NeedsAttention concerns={concerns} />
          <MakeHere />
        </div>
      </div>
    </Frame>
  );
}

/** Doors to what is made here, and to the library. */
function MakeHere() {
  return (
    <nav className={classes.make} aria-labelledby="make-head">
      <h2 id="make-head">Make here</h2>
      <Link to="/shelf/make/solution" data-act="Make a stock solution">
        A stock solution
      </Link>
      <Link to="/scents" data-act="Build a scent">
        A scent
      </Link>
      <Link to="/shelf/make/water" data-act="Cook a plant water">
        A plant water
      </Link>
      <Link to="/shelf/materials/new" data-act="Put in a material of your own">
        A material of your own
      </Link>
      <h2>The library</h2>
      <Link to="/shelf/materials/compare" data-act="Lay two materials side by side">
        Two side by side
      </Link>
      <Link to="/shelf/materials/changes" data-act="What changed in the library">
        What changed in it
      </Link>
      <a href="/shelf/movements.csv" data-act="Download the stock ledger as CSV">
        The stock ledger as CSV
      </a>
      <a href="/shelf/materials.json" data-act="Download own materials and lots as a file">
        My shelf as a file
      </a>
    </nav>
  );
}

function ShelfGroups({ shelf }: { readonly shelf: OpenShelf }) {
  const { mass } = useUnits();
  if (shelf.standingCount === 0) {
    return (
      <p className={classes.empty}>
        Nothing stands here yet. <Link to="/shelf/receive">Receive the first lot</Link>: what is written on the bottle, how much came in it,
        how strong it is by its certificate. The Sheet then counts with it.
      </p>
    );
  }
  if (shelf.shelfGroups.length === 0) {
    return (
      <p className={classes.empty}>
        Nothing like that stands here.{" "}
        <Link to={`/shelf?where=library&find=${encodeURIComponent(shelf.filter.find)}`}>Look in the library</Link> of {shelf.libraryCount}.
      </p>
    );
  }
  return (
    <>
      {shelf.shelfGroups.map((board) => (
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
                      <span className={classes.tag} data-soon={["ends", "ended", "discard"].includes(thing.concern ?? "") || undefined}>
                        {thing.ends}
                      </span>
                    )}
                  </span>
                  <span className={classes.thing}>{thing.name}</span>
                </Link>
                <span className={classes.left}>
                  {mass(thing.leftGrams)}
                  {thing.concern === "low" && <em>, low</em>}
                  {thing.concern === "ended" && <em>, ended</em>}
                  {thing.concern === "discard" && <em>, to discard</em>}
                </span>
              </li>
            ))}
          </ul>
        </section>
      ))}
      <p className={classes.legend}>The glass is the pack, the fill what is left; the tag is the month it expires.</p>
    </>
  );
}
