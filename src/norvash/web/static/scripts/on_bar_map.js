// What a page with a bar map adds.
import Alpine from "../vendor/alpine-csp.min.js";
import barMap from "./bar_map.js";

Alpine.data("barMap", barMap);
