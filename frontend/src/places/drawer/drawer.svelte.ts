/** The drawer on the screen: families, pockets, pieces, and what is on order. */
import {
  type Condition,
  type Drawer,
  Refusal,
  type Schemas,
  type Shim,
  answer,
  api,
} from "../../api/client";

type Sent = Promise<{ data?: Drawer; error?: unknown; response: Response }>;

export class DrawerState {
  drawer = $state.raw<Drawer | null>(null);
  refusal = $state.raw<Refusal | null>(null);
  said = $state("");

  /** Do one thing; whether it was done. */
  private async act(send: () => Sent, says: (drawer: Drawer) => string): Promise<boolean> {
    try {
      this.drawer = await answer(send());
      this.refusal = null;
      this.said = says(this.drawer);
      return true;
    } catch (error) {
      this.refusal = error as Refusal;
      this.said = "";
      // what moved meanwhile is shown as it now lies
      if (["conflict", "piece_moved"].includes(this.refusal.code)) await this.reload();
      return false;
    }
  }

  load(): Promise<boolean> {
    return this.act(
      () => api.GET("/api/drawer"),
      () => "",
    );
  }

  private async reload(): Promise<void> {
    try {
      this.drawer = await answer(api.GET("/api/drawer"));
    } catch {
      // the drawer stays as it was last seen
    }
  }

  add(family_id: number, text: string, condition: Condition): Promise<boolean> {
    return this.act(
      () =>
        api.POST("/api/families/{family_id}/pieces", {
          params: { path: { family_id } },
          body: { text, condition },
        }),
      (drawer) => `${drawer.added} put in.`,
    );
  }

  count(family_id: number, nominal_nm: number, counted: number, seen: number): Promise<boolean> {
    return this.act(
      () =>
        api.PUT("/api/families/{family_id}/count", {
          params: { path: { family_id } },
          body: { nominal_nm, counted, seen },
        }),
      () => "Counted.",
    );
  }

  takeOut(shim: Shim, why: string): Promise<boolean> {
    return this.act(
      () =>
        api.POST("/api/shims/{shim_id}/moves", {
          params: { path: { shim_id: shim.id } },
          body: {
            seen: shim.place,
            to: { where: "gone", engine_id: null, valve: null, card_id: null, order_line_id: null },
            why,
          },
        }),
      () => "Taken out.",
    );
  }

  save(family_id: number | null, body: Schemas["FamilyIn"]): Promise<boolean> {
    return this.act(
      () =>
        family_id === null
          ? api.POST("/api/families", { body })
          : api.PUT("/api/families/{family_id}", { params: { path: { family_id } }, body }),
      () => "Saved.",
    );
  }

  read(text: string): Promise<boolean> {
    return this.act(
      () => api.POST("/api/drawer/csv", { body: { text } }),
      (drawer) => `${drawer.added} put in from the file.`,
    );
  }

  receive(line_id: number): Promise<boolean> {
    return this.act(
      () => api.POST("/api/orders/{line_id}/received", { params: { path: { line_id } } }),
      () => "Received.",
    );
  }

  /** Every piece in a pocket; null where that cannot be told. */
  async piecesOf(family_id: number, nominal_nm: number): Promise<readonly Shim[] | null> {
    const params = { path: { family_id }, query: { nominal_nm } };
    try {
      return (await answer(api.GET("/api/families/{family_id}/pocket", { params }))).pieces;
    } catch (error) {
      this.refusal = error as Refusal;
      return null;
    }
  }

  async history(shim_id: number): Promise<readonly string[]> {
    const said = await answer(
      api.GET("/api/shims/{shim_id}/history", { params: { path: { shim_id } } }),
    );
    return said.moves;
  }
}
