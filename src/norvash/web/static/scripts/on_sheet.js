// What a sheet adds to every page.
import Alpine from "../vendor/alpine-csp.min.js";
import "./first_field.js";
import sheet from "./sheet.js";
import { runTimers } from "./timers.js";

Alpine.data("sheet", sheet);
runTimers();
