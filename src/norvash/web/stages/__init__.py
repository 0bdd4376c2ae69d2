"""What each stage of a sheet shows, a module a stage, by the same names; its template is `stages/NAME.html`."""
