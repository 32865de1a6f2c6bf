/** Overlay mosaic: a chart of the colours that are seen; a cell that is not its row's own is hidden by a drop. */
export const mosaicPatterns = `
pattern tide-marks "Tide marks"
about "Single drops that step across the fabric and back like the lines of a falling tide."
technique mosaic
made right-side
stitch sc
colours A B
across 6 plus 3 "waves"
up 8 plus 2 "tides"
read seen
ends "Finish with an envelope border that hides the two ends of every row."
careful "Never work the stitch behind a drop: it is skipped, or the row gains one."
chart
  BABBBB
  AAAAAB
  BBABBB
  BAAAAA
  BBBABB
  ABAAAA
  BBBBAB
  AABAAA
end

pattern gull-steps "Gull steps"
about "Close little footprints, two drops to every four stitches."
technique mosaic
made right-side
stitch sc
colours A B
across 4 plus 3 "steps"
up 4 plus 2 "repeats"
read seen
ends "Finish with an envelope border that hides the two ends of every row."
careful "Drops lie close here: keep them long enough, or the fabric draws up."
chart
  ABBB
  AAAB
  BBAB
  ABAA
end

pattern rope-coil "Rope coil"
about "Strands that twist round a bag without a single cut, in unturned rounds."
technique mosaic
made rounds
stitch sc
colours A B
across 8 "twists"
up 4 plus 2 "coils"
read seen
ends "Finish after a whole coil; both colours wait at the seam until then."
careful "In unturned rounds the figure leans with the stitches, as it should."
chart
  BBBABBBB
  ABAAAABA
  ABBBABBB
  AABAAAAB
end
`;
