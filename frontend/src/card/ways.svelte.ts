/** How each valve is measured; the last choice holds for the next, at Feel and at Prove. */
export type Way = "fan" | "ask" | "keys";

export class Ways {
  private own = $state<Record<string, Way>>({});
  private last = $state<Way>("fan");

  of(valve: string | null): Way {
    return this.own[valve ?? ""] ?? this.last;
  }

  take(valve: string | null, way: Way): void {
    this.last = way;
    if (valve) this.own[valve] = way;
  }
}
