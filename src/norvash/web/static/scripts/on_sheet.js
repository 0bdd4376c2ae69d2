// What a sheet adds to every page.
import Alpine from "../vendor/alpine-csp.min.js";
import sheet from "./sheet.js";

Alpine.data("sheet", sheet);
