/**
 * A plan bettered by chains and rings of exchange: one plant takes the place of a second, that of a third, and so on,
 * until the last one finds room or takes the place of the first. All rings that pay have a plant to begin with from
 * which every part of the ring pays (Lin and Kernighan's gain rule), so the ways that lose are never followed; for
 * each plant that is put out the best way to it is kept, link by link, as shortest paths are found (after Thompson and Psaraftis,
 * "Cyclic transfer algorithms", 1993). Where all pots are alike, what no ring betters is the best there is.
 */
import type { Arrangement } from './arrangement';
import { groupsOf, possibleSpots, widthOn, type PlanProblem } from './problem';

/** Plants in one chain at most. */
const LONGEST = 7;
/** Spots of each plant that are followed. */
const MOST_WANTED = 12;
/** What a change must bring. */
const LEAST = 1e-9;
const NOBODY = -1;

interface Chain {
  readonly value: number;
  /** Link of the last plant, and where it goes. */
  readonly link: number;
  readonly last: number;
  readonly spot: number;
}

/** Chains and rings over runs of seasons: each plant of a chain stays on one spot through the run, before and after. */
export class Exchanges {
  private readonly plants: number;
  private readonly spots: number;
  private readonly possible: readonly (readonly number[])[];
  private readonly isGrouped: Uint8Array;
  private readonly widths: Int32Array;
  private readonly loads: Int32Array;
  /** By plant: the spot it keeps through the run; nobody's where it moves within it or cannot move. */
  private readonly keeps: Int32Array;
  /** By plant: spots it could go to, those that gain most first, and what they gain. */
  private readonly wanted: Int32Array;
  private readonly gains: Float64Array;
  private readonly room: Int32Array;
  private readonly bearing: Int32Array;
  /** By spot: what its stand still bears. */
  private readonly standBearing: Int32Array;
  /** By link and plant: what the best chain so far brings that puts it out, who puts it out, and who began. */
  private readonly value: Float64Array;
  private readonly before: Int32Array;
  private readonly began: Int32Array;
  /** By the plant that begins it. */
  private readonly chains: (Chain | undefined)[];
  private from = 0;

  constructor(
    private readonly problem: PlanProblem,
    private readonly arrangement: Arrangement,
  ) {
    const { plants, spots } = problem;
    [this.plants, this.spots] = [plants.length, spots.length];
    this.possible = possibleSpots(problem);
    const groups = groupsOf(problem);
    this.isGrouped = Uint8Array.from(plants, (_, plant) => Number(groups.some((group) => group.includes(plant))));
    this.widths = Int32Array.from(plants.flatMap((plant) => spots.map((spot) => widthOn(plant, spot))));
    this.loads = Int32Array.from(plants, ({ loadG }) => loadG);
    this.keeps = new Int32Array(this.plants);
    this.wanted = new Int32Array(this.plants * MOST_WANTED);
    this.gains = new Float64Array(this.wanted.length);
    this.room = new Int32Array(this.spots);
    this.bearing = new Int32Array(this.spots);
    this.standBearing = new Int32Array(this.spots);
    this.value = new Float64Array(LONGEST * this.plants);
    this.before = new Int32Array(LONGEST * this.plants);
    this.began = new Int32Array(LONGEST * this.plants);
    this.chains = plants.map(() => undefined);
  }

  /** Makes every exchange over a run of seasons that pays, until none is left. */
  better(from: number, to: number): void {
    this.from = from;
    for (let plant = 0; plant < this.plants; plant++) this.look(plant, from, to);
    for (let spot = 0; spot < this.spots; spot++) this.measure(spot, from, to);
    for (let made = true; made;) {
      this.find();
      made = this.make(from, to);
    }
  }

  /** Which spots a plant would gain most by. */
  private look(plant: number, from: number, to: number): void {
    const { arrangement, wanted, gains } = this;
    const own = arrangement.spotOf(from, plant);
    const begin = plant * MOST_WANTED;
    wanted.fill(NOBODY, begin, begin + MOST_WANTED);
    gains.fill(-Infinity, begin, begin + MOST_WANTED);
    this.keeps[plant] = NOBODY;
    for (let season = from; season <= to; season++) if (arrangement.spotOf(season, plant) !== own) return;
    const possible = this.possible[plant]!;
    if (possible.length < 2) return;
    this.keeps[plant] = own;
    const { moveCost, now } = this.problem.plants[plant]!;
    const came = from === 0 ? now : arrangement.spotOf(from - 1, plant);
    const goes = to === arrangement.seasons - 1 ? null : arrangement.spotOf(to + 1, plant);
    const moves = (spot: number) => Number(came !== null && came !== spot) + Number(goes !== null && goes !== spot);
    let has = -moveCost * moves(own);
    for (let season = from; season <= to; season++) has += arrangement.worthNow(season, plant);
    const keepsTo = this.isGrouped[plant] ? arrangement.stand(own) : NOBODY;
    for (const spot of possible) {
      if (spot === own || (keepsTo !== NOBODY && arrangement.stand(spot) !== keepsTo)) continue;
      let gain = -moveCost * moves(spot) - has;
      for (let season = from; season <= to; season++) gain += arrangement.worth(season, plant, spot);
      let at = begin + MOST_WANTED - 1;
      if (gain <= gains[at]!) continue;
      for (; at > begin && gains[at - 1]! < gain; at--) {
        gains[at] = gains[at - 1]!;
        wanted[at] = wanted[at - 1]!;
      }
      gains[at] = gain;
      wanted[at] = spot;
    }
  }

  /** What is left on a spot in the fullest season. */
  private measure(spot: number, from: number, to: number): void {
    let [room, bearing, standBearing] = [Infinity, Infinity, Infinity];
    const stand = this.arrangement.stand(spot);
    for (let season = from; season <= to; season++) {
      room = Math.min(room, this.arrangement.roomLeft(season, spot));
      bearing = Math.min(bearing, this.arrangement.bearingLeft(season, spot));
      standBearing = Math.min(standBearing, this.arrangement.standBearingLeft(season, stand));
    }
    this.standBearing[spot] = standBearing;
    this.room[spot] = room;
    this.bearing[spot] = bearing;
  }

  /** Whether a plant fits on a spot once another has left it. */
  private fits(plant: number, spot: number, leaves: number): boolean {
    const load = this.loads[plant]! - (leaves === NOBODY ? 0 : this.loads[leaves]!);
    if (load > this.bearing[spot]!) return false;
    if (load > this.standBearing[spot]! && this.arrangement.stand(spot) !== this.arrangement.stand(this.keeps[plant]!))
      return false;
    const width = leaves === NOBODY ? 0 : this.widths[leaves * this.spots + spot]!;
    return this.widths[plant * this.spots + spot]! - width <= this.room[spot]!;
  }

  /** Whether a chain up to a plant's link already touches a spot. */
  private touches(link: number, plant: number, spot: number): boolean {
    for (let [at, one] = [link, plant]; ; at--) {
      if (this.keeps[one] === spot) return true;
      if (at === 0) return false;
      one = this.before[at * this.plants + one]!;
    }
  }

  /** All chains that pay, link by link. */
  private find(): void {
    const { plants, value, began, keeps } = this;
    this.chains.fill(undefined);
    value.fill(-1);
    for (let plant = 0; plant < plants; plant++) {
      if (keeps[plant] === NOBODY) continue;
      value[plant] = 0;
      began[plant] = plant;
    }
    for (let link = 0; link < LONGEST; link++)
      for (let plant = 0; plant < plants; plant++) if (value[link * plants + plant]! >= 0) this.follow(link, plant);
  }

  /** Where a plant that is put out can go. */
  private follow(link: number, plant: number): void {
    const { plants, value, before, began, keeps } = this;
    const so = value[link * plants + plant]!;
    const first = began[link * plants + plant]!;
    for (let at = plant * MOST_WANTED; at < (plant + 1) * MOST_WANTED; at++) {
      const spot = this.wanted[at]!;
      const sum = so + this.gains[at]!;
      if (sum <= LEAST) return;
      if (this.fits(plant, spot, NOBODY)) {
        if (!this.touches(link, plant, spot)) this.keep({ value: sum, link, last: plant, spot }, first);
      } else if (spot === keeps[first]) {
        if (this.fits(plant, spot, first)) this.keep({ value: sum, link, last: plant, spot }, first);
      } else if (link + 1 < LONGEST && !this.touches(link, plant, spot)) {
        const next = (link + 1) * plants;
        for (const out of this.arrangement.occupants(this.from, spot)) {
          if (keeps[out] === NOBODY || sum <= value[next + out]! || !this.fits(plant, spot, out)) continue;
          value[next + out] = sum;
          before[next + out] = plant;
          began[next + out] = first;
        }
      }
    }
  }

  /** Of the chains that one plant begins, the best. */
  private keep(chain: Chain, first: number): void {
    const before = this.chains[first];
    if (!before || chain.value > before.value) this.chains[first] = chain;
  }

  /** Makes the chains that were found, the best first, as long as they touch other spots. */
  private make(from: number, to: number): boolean {
    const touched = new Uint8Array(this.spots);
    const moved: number[] = [];
    const best = this.chains.flatMap((chain) => chain ?? []).sort((p, q) => q.value - p.value);
    for (const chain of best) {
      const links = this.linksOf(chain);
      if (links.some(([plant, spot]) => touched[spot]! + touched[this.keeps[plant]!]! > 0)) continue;
      for (const [plant, spot] of links)
        for (let season = from; season <= to; season++) this.arrangement.place(season, plant, spot);
      const pays = this.arrangement.brings(LEAST);
      this.arrangement.end(pays ? 'keep' : 'take-back');
      if (!pays) continue;
      for (const [plant, spot] of links) {
        touched[spot] = touched[this.keeps[plant]!] = 1;
        moved.push(plant);
      }
    }
    for (const plant of moved) this.look(plant, from, to);
    if (moved.length > 0) for (let spot = 0; spot < this.spots; spot++) this.measure(spot, from, to);
    return moved.length > 0;
  }

  /** Each plant of a chain and where it goes. */
  private linksOf({ link, last, spot }: Chain): (readonly [number, number])[] {
    const links: (readonly [number, number])[] = [];
    for (let [at, plant, goes] = [link, last, spot]; ; at--) {
      links.push([plant, goes]);
      if (at === 0) return links;
      goes = this.keeps[plant]!;
      plant = this.before[at * this.plants + plant]!;
    }
  }
}
