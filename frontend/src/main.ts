import "@fontsource-variable/archivo/wdth.css";
import "./kit/look.css";
import { mount } from "svelte";
import App from "./App.svelte";
import { keepHere } from "./state/reach.svelte";

const target = document.getElementById("app");
if (!target) throw new Error("the page has no place for the application");

void keepHere();

export default mount(App, { target });
