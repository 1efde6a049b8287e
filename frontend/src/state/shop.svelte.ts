/** The shop as the bench shows it. */
import { Refusal, type Shop, answer, api } from "../api/client";
import { HERE } from "./people.svelte";
import { BACK } from "../api/events";
import { preferences } from "./preferences.svelte";

class ShopState {
  shop = $state.raw<Shop | null>(null);
  refusal = $state.raw<Refusal | null>(null);

  constructor() {
    addEventListener(HERE, () => void this.load());
    addEventListener(BACK, () => void this.load());
  }

  async load(): Promise<void> {
    try {
      this.shop = await answer(api.GET("/api/shop"));
      preferences.usual(this.shop.unit);
      this.refusal = null;
    } catch (error) {
      this.refusal = error as Refusal;
    }
  }
}

export const shopState = new ShopState();
