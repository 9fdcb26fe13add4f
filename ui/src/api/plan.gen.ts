// Generated from the Go types by scripts/types.mjs; do not edit.

export interface Plan {
/**
 * Format is always umschlag/plan/2.
 */
format: "umschlag/plan/2"
/**
 * Title is what the maker calls the cover.
 */
title: string
/**
 * Units is the unit of bare numbers and of everything shown.
 */
units?: ("in" | "cm" | "mm")
/**
 * Copies is how many are made; it multiplies cloth, not the counts of one cover.
 */
copies?: number
object: Object
cover: Cover
/**
 * Pieces says what each piece is made of, by piece name; "*" stands for all.
 */
pieces?: {
[k: string]: Piece
}
back?: Back
edges?: Edges
/**
 * Fittings are handles, pockets, straps and the like.
 */
fittings?: Fitting[]
/**
 * Made are units of blocks that are sewn already, of another cover: nothing is cut for them.
 */
made?: Made[]
/**
 * Cloths describes the cloths by the letters the pieces use.
 */
cloths?: {
[k: string]: Cloth
}
habits?: Habits
/**
 * Measured holds what was read off the tape at a gate, oldest first.
 */
measured?: Measured[]
progress?: Progress
schedule?: Schedule
costs?: Costs
/**
 * Lays are lays that were sought and found shorter than the ones made at once, by the
 * letters of their cloths.
 */
lays?: {
[k: string]: Sought
}
}
export interface Object {
kind: ("form" | "box" | "book" | "flat" | "found")
/**
 * Shape of a form or something flat: a rectangle, or round with its width as
 * the diameter.
 */
shape?: ("rectangle" | "round")
/**
 * Width, across: form, flat, found.
 */
width?: (string | number)
/**
 * Height, up: every kind.
 */
height?: (string | number)
/**
 * Length, left to right: box.
 */
length?: (string | number)
/**
 * Depth, front to back: box.
 */
depth?: (string | number)
/**
 * Wrap is the tape from one fore-edge round the spine to the other, closed: book.
 */
wrap?: (string | number)
/**
 * Board is the width of one board: book (ring binder).
 */
board?: (string | number)
/**
 * Spine is the width of the back: book.
 */
spine?: (string | number)
/**
 * Thickness of a form, or of one board of a book, whose own thickness is its spine.
 */
thickness?: (string | number)
/**
 * Fill of a form.
 */
fill?: ("feather" | "polyester" | "foam")
sticks_out?: Axes
/**
 * Edge says whether a found panel's size already includes its seam allowance.
 */
edge?: ("excluded" | "included")
make?: MakeForm
}
export interface Axes {
width?: (string | number)
height?: (string | number)
length?: (string | number)
depth?: (string | number)
wrap?: (string | number)
}
export interface MakeForm {
/**
 * Cloth it is cut from; the first one when absent.
 */
cloth?: string
/**
 * Fold cuts it in one piece, without a seam at its lower side.
 */
fold?: boolean
/**
 * Tab stands out along the gap, so that one line of top-stitching closes it; 0 for
 * none.
 */
tab?: (string | number)
/**
 * Gap it is filled through; 5 in or 12 cm when absent.
 */
gap?: (string | number)
}
export interface Cover {
kind: ("cushion" | "boxed-cushion" | "wrap-hood" | "band-hood" | "skirt-hood" | "jacket" | "pad")
ease?: Axes1
size?: Sizes
/**
 * Bulk is the thickness of the stack, when it is to be taken from the inside.
 */
bulk?: (string | number)
/**
 * Seam is the allowance of the seams that join pieces and close the cover, 1/16 to 2 in.
 */
seam?: (string | number)
/**
 * PiecingSeam is the allowance of the seams within fronts, 1/16 to 2 in. When absent it is that of the habits, or
 * else ¼ in or 7.5 mm; as the seam of the cover where that is the usual one.
 */
piecing_seam?: (string | number)
corners?: Corners
bottom?: Bottom
/**
 * SplitTop puts a seam over the top of a wrapped hood, for one-way prints.
 */
split_top?: boolean
/**
 * BandLength is a band already cut, to be checked: banded hood.
 */
band_length?: (string | number | null)
/**
 * Flange stands out flat round a cushion.
 */
flange?: (string | number)
flaps?: Flaps
/**
 * Aside is what was decided of the pieces of hoods of other kinds, by the kind of the cover.
 * It is not read until the cover is of that kind again.
 */
aside?: {
[k: string]: {
[k: string]: Piece
}
}
/**
 * Wash is the shrinkage planned for, in percent, 0 to 25.
 */
wash?: number
}
export interface Axes1 {
width?: (string | number)
height?: (string | number)
length?: (string | number)
depth?: (string | number)
wrap?: (string | number)
}
export interface Sizes {
width?: (string | number)
height?: (string | number)
length?: (string | number)
depth?: (string | number)
wrap?: (string | number)
}
export interface Corners {
kind?: ("square" | "round" | "tapered")
/**
 * Radius of the cut edge: round corners.
 */
radius?: (string | number)
/**
 * Plate is the diameter drawn round, instead of a radius.
 */
plate?: (string | number)
/**
 * Taper is how far tapered corners are drawn in, across and up: up to an
 * eighth of the shorter side; ½ in or 1 cm when absent.
 */
taper?: (string | number)
}
export interface Bottom {
finish?: ("bound" | "hem" | "raw")
/**
 * Width turned up: hem.
 */
width?: (string | number)
}
export interface Flaps {
style?: ("folded" | "turned-in" | "flip")
/**
 * Depth as finished: one length, or front and back.
 */
depth?: (string | number | [(string | number), (string | number)])
/**
 * Hem of a flipped flap, all that is turned in; 1 in or 2 cm when absent.
 */
hem?: (string | number)
}
/**
 * Piece is what one piece of the cover is made of. What is absent here is taken
 * from the piece named "*".
 */
export interface Piece {
face?: Face
layers?: Layers
quilting?: Quilting
/**
 * Squaring is the margin on each side, trimmed after quilting: 0 to 6 in.
 */
squaring?: (string | number)
take_up?: TakeUp
/**
 * Absorb says what takes up the squaring margin, the take-up and a seam round it that is not the piecing seam
 * when the top is pieced; absent: the outer border, or larger patches without one.
 */
absorb?: ("border" | "patch" | "outer" | "accept")
}
/**
 * Face is what the outside of a piece is made of. Which keys count depends on
 * the kind.
 */
export interface Face {
kind?: ("plain" | "grid" | "strips" | "checker" | "stack" | "windows" | "gathered" | "found")
/**
 * Cloth of a plain, gathered or found face, and of the triangles that set a grid on
 * point; there the last of the cloths when absent.
 */
cloth?: string
/**
 * Centred cuts the panel of a plain face, or every plain patch of a grid, with its
 * middle in the middle of a motif of the print.
 */
centred?: boolean
/**
 * TrianglesCentred cuts the triangles and curved patches of blocks so as well, one by one by their
 * template.
 */
triangles_centred?: boolean
/**
 * Pocket turns a plain face into a folded pocket front: folded.
 */
pocket?: "folded"
/**
 * Columns, left to right: grid, checker, windows; 1 to 200.
 */
columns?: number
/**
 * Rows, top to bottom: grid, checker, windows; 1 to 200.
 */
rows?: number
patch?: Patch
/**
 * Overhang lets patches of a grid or a checkerboard that are too much for it stand out alike over both edges,
 * where nothing goes round them and nothing is quilted: they are trimmed off when it is squared up.
 */
overhang?: boolean
/**
 * Set of a grid: straight or on point.
 */
set?: ("straight" | "on-point")
/**
 * Block by name or by cells; absent: plain patches.
 */
block?: (string | {
cells: unknown
})
/**
 * Cloths of the patches, by letter.
 */
cloths?: string[]
/**
 * Order of the cloths: alternate, scrap, or the rows written out.
 */
order?: (("alternate" | "scrap" | "on-ground") | string[][])
/**
 * Seed of the scrap order; the same seed gives the same layout.
 */
seed?: number
/**
 * Keep is patches that stay as they are when the scrap order is mixed again.
 */
keep?: Kept[]
mix?: Mix
/**
 * Colourways are the same face in other cloths, kept side by side with it.
 */
colourways?: Colourway[]
sash?: Sash
/**
 * Borders from inside to outside.
 */
borders?: Border[]
/**
 * Strips of a strip face.
 */
strips?: Strip[]
/**
 * Direction in which strips or gathers run.
 */
direction?: ("across" | "along" | "diagonal")
/**
 * Parts of a stacked face, from the top.
 */
parts?: Part[]
/**
 * Unit of folded windows, finished, 1 in and more; the one that fits when absent.
 */
unit?: (string | number)
/**
 * Ground cloth of folded windows.
 */
ground?: string
/**
 * Show cloth in folded windows.
 */
show?: string
/**
 * Buttons on the points of folded windows.
 */
buttons?: boolean
/**
 * Ratio of a gathered face, before ÷ after.
 */
ratio?: number
/**
 * Sample that gives the gathering ratio.
 */
sample?: string
sampled?: Sampled
panel?: FoundPanel
/**
 * Backed is the cloth behind a found panel.
 */
backed?: string
/**
 * Applique shapes, in stacking order.
 */
applique?: Shape[]
/**
 * Aside is the face as it was decided in other kinds, by kind. It is not read until the face
 * is of that kind again.
 */
aside?: {
[k: string]: Face
}
}
export interface Patch {
width?: (string | number)
height?: (string | number)
fit?: boolean
}
/**
 * Kept is one patch that keeps its cloth.
 */
export interface Kept {
/**
 * Row and Column from 1.
 */
row?: number
column?: number
cloth?: string
}
export interface Mix {
/**
 * Often is how often each cloth is drawn against the others, by its letter, 1 to 99; all alike when absent.
 */
often?: {
[k: string]: number
}
/**
 * Dark are the letters of the cloths that lie beside the others in turn: dark beside light.
 */
dark?: string[]
}
/**
 * Colourway is a face in other cloths, under a name.
 */
export interface Colourway {
/**
 * Key names it among the parts of its piece.
 */
key?: string
name?: string
face?: Face1
}
export interface Face1 {
kind?: ("plain" | "grid" | "strips" | "checker" | "stack" | "windows" | "gathered" | "found")
/**
 * Cloth of a plain, gathered or found face, and of the triangles that set a grid on
 * point; there the last of the cloths when absent.
 */
cloth?: string
/**
 * Centred cuts the panel of a plain face, or every plain patch of a grid, with its
 * middle in the middle of a motif of the print.
 */
centred?: boolean
/**
 * TrianglesCentred cuts the triangles and curved patches of blocks so as well, one by one by their
 * template.
 */
triangles_centred?: boolean
/**
 * Pocket turns a plain face into a folded pocket front: folded.
 */
pocket?: "folded"
/**
 * Columns, left to right: grid, checker, windows; 1 to 200.
 */
columns?: number
/**
 * Rows, top to bottom: grid, checker, windows; 1 to 200.
 */
rows?: number
patch?: Patch
/**
 * Overhang lets patches of a grid or a checkerboard that are too much for it stand out alike over both edges,
 * where nothing goes round them and nothing is quilted: they are trimmed off when it is squared up.
 */
overhang?: boolean
/**
 * Set of a grid: straight or on point.
 */
set?: ("straight" | "on-point")
/**
 * Block by name or by cells; absent: plain patches.
 */
block?: (string | {
cells: unknown
})
/**
 * Cloths of the patches, by letter.
 */
cloths?: string[]
/**
 * Order of the cloths: alternate, scrap, or the rows written out.
 */
order?: (("alternate" | "scrap" | "on-ground") | string[][])
/**
 * Seed of the scrap order; the same seed gives the same layout.
 */
seed?: number
/**
 * Keep is patches that stay as they are when the scrap order is mixed again.
 */
keep?: Kept[]
mix?: Mix
/**
 * Colourways are the same face in other cloths, kept side by side with it.
 */
colourways?: Colourway[]
sash?: Sash
/**
 * Borders from inside to outside.
 */
borders?: Border[]
/**
 * Strips of a strip face.
 */
strips?: Strip[]
/**
 * Direction in which strips or gathers run.
 */
direction?: ("across" | "along" | "diagonal")
/**
 * Parts of a stacked face, from the top.
 */
parts?: Part[]
/**
 * Unit of folded windows, finished, 1 in and more; the one that fits when absent.
 */
unit?: (string | number)
/**
 * Ground cloth of folded windows.
 */
ground?: string
/**
 * Show cloth in folded windows.
 */
show?: string
/**
 * Buttons on the points of folded windows.
 */
buttons?: boolean
/**
 * Ratio of a gathered face, before ÷ after.
 */
ratio?: number
/**
 * Sample that gives the gathering ratio.
 */
sample?: string
sampled?: Sampled
panel?: FoundPanel
/**
 * Backed is the cloth behind a found panel.
 */
backed?: string
/**
 * Applique shapes, in stacking order.
 */
applique?: Shape[]
/**
 * Aside is the face as it was decided in other kinds, by kind. It is not read until the face
 * is of that kind again.
 */
aside?: {
[k: string]: Face
}
}
export interface Sash {
width?: (string | number)
outside?: boolean
/**
 * Posts are squares where sashing meets; without them the long sashing strips run through.
 */
posts?: boolean
cloth?: string
/**
 * PostCloth is the cloth of the posts; the sash's own when absent.
 */
post_cloth?: string
}
/**
 * Border goes round what is inside it.
 */
export interface Border {
/**
 * Key names it among the parts of its piece.
 */
key?: string
width?: (string | number)
cloth?: string
/**
 * Corner: butted, mitred, or with squares.
 */
corner?: ("butted" | "mitred" | "squares")
/**
 * CornerCloth is the cloth of the corner squares; the border's own when absent.
 */
corner_cloth?: string
pieced?: PiecedBorder
}
export interface PiecedBorder {
/**
 * Cloths in turn.
 */
cloths?: string[]
/**
 * Across and Down are how many patches a border along the top and along a side has,
 * 1 to 200; as many as are nearest to squares when absent.
 */
across?: number
down?: number
}
/**
 * Strip of a strip face, finished.
 */
export interface Strip {
/**
 * Key names it among the parts of its piece.
 */
key?: string
width?: (string | number)
cloth?: string
}
/**
 * Part of a stacked face.
 */
export interface Part {
/**
 * Key names it among the parts of its piece.
 */
key?: string
/**
 * Height as finished. The heights make up the height of the face.
 */
height?: (string | number)
/**
 * Overhang is how much longer it is than its place, half of it at either end, squared up when the parts are joined.
 */
overhang?: (string | number)
face?: Face
}
export interface Sampled {
before?: (string | number)
after?: (string | number)
}
export interface FoundPanel {
/**
 * Kind: cloth, counted, worked (hooked or knitted), or printed.
 */
kind?: ("cloth" | "counted" | "worked" | "printed")
/**
 * Across and Up are the squares of a counted design, 1 to 2000, Count how many go to
 * the inch, 3 to 60, and Margin how many more show on each side.
 */
across?: number
up?: number
count?: number
margin?: number
/**
 * Width and Height of a printed panel as it is bought; 0 where nobody measured it.
 */
width?: (string | number)
height?: (string | number)
/**
 * Left and Top are how far from its edges that lies which has to be in the middle;
 * its own middle when absent.
 */
left?: (string | number)
top?: (string | number)
}
/**
 * Shape is one appliquéd shape.
 */
export interface Shape {
/**
 * Key names it among the parts of its piece.
 */
key?: string
/**
 * Name by which it is spoken of.
 */
name?: string
/**
 * Shape is an SVG path or the name of a form.
 */
shape?: string
cloth?: string
/**
 * Width before it is turned. A path without one is drawn in millimetres; a form
 * takes a quarter of the face's width.
 */
width?: (string | number)
/**
 * Height before it is turned; in proportion when absent.
 */
height?: (string | number)
at?: At
/**
 * From is the key of the shape it is placed from; the face itself when absent.
 */
from?: string
/**
 * Turn in degrees, anticlockwise.
 */
turn?: number
/**
 * Flip mirrors it left to right before it is turned.
 */
flip?: boolean
/**
 * Edge is how its edge is held; satin stitch when absent.
 */
edge?: ("zigzag" | "blanket" | "hand" | "straight" | "none" | "loose" | "line")
/**
 * Twin is a second one at the mirrored place: mirrored itself, or the same way round.
 */
twin?: ("mirror" | "same")
/**
 * Late is fused when everything that is not late is sewn.
 */
late?: boolean
}
export interface At {
left?: (string | number)
right?: (string | number)
top?: (string | number)
bottom?: (string | number)
edge?: ("left" | "right" | "top" | "bottom")
middle?: boolean
}
/**
 * Layers is the stack under a face.
 */
export interface Layers {
batting?: Batting
/**
 * Lining is the letter of the lining cloth; absent: no lining.
 */
lining?: string
/**
 * Stiffener is the letter of an interfacing ironed to the lining, without seam
 * allowances; absent: none.
 */
stiffener?: string
/**
 * Grid is a fusible grid ironed behind the batting as a guide for quilting from the back.
 */
grid?: boolean
/**
 * Web is fusible web between the top and what lies under it.
 */
web?: boolean
/**
 * Overhang is how far batting and lining stand out beyond the top, each side.
 */
overhang?: (string | number)
}
/**
 * Batting is the padding between face and lining.
 */
export interface Batting {
/**
 * Count of layers, 0 to 4.
 */
count?: number
/**
 * Loft is the thickness of one layer, 0 to 2 in.
 */
loft?: (string | number)
/**
 * Cloth is the letter under which the batting is described; absent: "batting".
 */
cloth?: string
/**
 * Overhang is how far the batting stands out beyond the top, each side; that of the
 * lining when absent.
 */
overhang?: (string | number)
/**
 * Offcuts tells that it is butted together from what is left of others.
 */
offcuts?: boolean
}
/**
 * Quilting is the pattern that holds the layers together.
 */
export interface Quilting {
lines?: LineFamily[]
/**
 * Pair doubles every line at this distance.
 */
pair?: (string | number)
/**
 * Ditch stitches in the seams of the face.
 */
ditch?: boolean
/**
 * Echo is the distance of rounds that follow the edge inwards; 0 for none.
 */
echo?: (string | number)
/**
 * Free is how far apart the lines of free-motion quilting are on average; 0 for none.
 */
free?: (string | number)
/**
 * Corners stitches from corner to corner through every patch or block, both ways.
 */
corners?: boolean
/**
 * Beside is how far from the seams every patch is stitched round, inside them; 0 for none.
 */
beside?: (string | number)
/**
 * Around is how far outside the shapes a round is stitched; 0 for none.
 */
around?: (string | number)
borders?: BorderQuilting
/**
 * Aside is what was decided of other patterns, by the name of the pattern. It is not read.
 */
aside?: {
[k: string]: Quilting
}
}
/**
 * LineFamily is one set of parallel quilting lines.
 */
export interface LineFamily {
/**
 * Pitch from line to line, 1/16 to 24 in.
 */
pitch?: (string | number)
/**
 * Angle of the stitched lines to the width, in degrees, anticlockwise.
 */
angle?: number
/**
 * Shift of the line in the middle across its direction, so that a line lies in a seam
 * or between two.
 */
shift?: (string | number)
/**
 * Wave is how far a serpentine line swings out to each side; 0 for straight ones.
 */
wave?: (string | number)
}
export interface BorderQuilting {
/**
 * After tells that they are sewn on when what lies inside them is quilted, through all its layers, and turned back.
 */
after?: boolean
/**
 * Ditch stitches in their seams.
 */
ditch?: boolean
/**
 * Along is how far apart lines are that follow them round, Across how far apart lines across them, Free those of
 * free-motion quilting on average; 0 for none.
 */
along?: (string | number)
across?: (string | number)
free?: (string | number)
}
/**
 * TakeUp says where the figure for quilting take-up comes from.
 */
export interface TakeUp {
from?: ("estimate" | "sample" | "given")
/**
 * ID of the sample, when from a sample.
 */
id?: string
/**
 * Across in percent of the width, when given: 0 to 25.
 */
across?: number
/**
 * Along in percent of the height, when given: 0 to 25.
 */
along?: number
}
export interface Back {
kind?: ("envelope" | "folded" | "lapped" | "buttons" | "ties" | "zip" | "sewn")
/**
 * Overlap of an envelope as laid: absent takes a quarter of the cover's width.
 */
overlap?: (string | number)
/**
 * Share of the cover's width that it overlaps, in percent, 0 to 100, where no
 * overlap is given.
 */
share?: number
/**
 * Hem turned twice, first and second fold; an empty list on a selvedge.
 */
hem?: (string | number)[]
/**
 * Panels of an envelope: equal, or the two cut widths.
 */
panels?: ("equal" | [(string | number), (string | number)])
/**
 * Cloth of the back; absent: the back piece's face.
 */
cloth?: string
/**
 * Depth to which a folded back is folded.
 */
depth?: (string | number)
/**
 * Lined: folded back with a full lining.
 */
lined?: boolean
/**
 * Band of a lapped, buttoned or tied back, finished; 1 in or 25 mm when absent, wide
 * enough for its buttons, which may take a third of a small cover.
 */
band?: (string | number)
/**
 * Tape width of a lapped back; ¾ in or 2 cm when absent.
 */
tape?: (string | number)
/**
 * Count of buttons or of pairs of ties; one each 4½ in when absent.
 */
count?: number
/**
 * Button is the width of a button; ¾ in or 2 cm, or what its band takes, when absent.
 */
button?: (string | number)
/**
 * Seam turned under beside a zip; the seam of the cover when absent.
 */
seam?: (string | number)
/**
 * Place of a zip.
 */
place?: ("across" | "side")
/**
 * Flap over a zip.
 */
flap?: (string | number)
/**
 * Gap left to turn through: sewn shut. Of a boxed cushion also the opening of
 * the zip in its band.
 */
gap?: (string | number)
/**
 * Tab stands out along the gap of a back that is sewn shut, so that one line of
 * top-stitching closes it; 0 for none.
 */
tab?: (string | number)
/**
 * Outer is the piece that lies outside where two overlap: the right one when absent, as the back is seen.
 */
outer?: ("left" | "right")
/**
 * Wait says whether the back is cut after the front is measured: auto waits where the front may come out otherwise
 * than it is cut.
 */
wait?: ("auto" | "yes" | "no")
/**
 * Aside is what was decided for other closures, by the closure. It is not read.
 */
aside?: {
[k: string]: Back1
}
}
/**
 * Back is the closure at the back. Which keys count depends on the kind.
 */
export interface Back1 {
kind?: ("envelope" | "folded" | "lapped" | "buttons" | "ties" | "zip" | "sewn")
/**
 * Overlap of an envelope as laid: absent takes a quarter of the cover's width.
 */
overlap?: (string | number)
/**
 * Share of the cover's width that it overlaps, in percent, 0 to 100, where no
 * overlap is given.
 */
share?: number
/**
 * Hem turned twice, first and second fold; an empty list on a selvedge.
 */
hem?: (string | number)[]
/**
 * Panels of an envelope: equal, or the two cut widths.
 */
panels?: ("equal" | [(string | number), (string | number)])
/**
 * Cloth of the back; absent: the back piece's face.
 */
cloth?: string
/**
 * Depth to which a folded back is folded.
 */
depth?: (string | number)
/**
 * Lined: folded back with a full lining.
 */
lined?: boolean
/**
 * Band of a lapped, buttoned or tied back, finished; 1 in or 25 mm when absent, wide
 * enough for its buttons, which may take a third of a small cover.
 */
band?: (string | number)
/**
 * Tape width of a lapped back; ¾ in or 2 cm when absent.
 */
tape?: (string | number)
/**
 * Count of buttons or of pairs of ties; one each 4½ in when absent.
 */
count?: number
/**
 * Button is the width of a button; ¾ in or 2 cm, or what its band takes, when absent.
 */
button?: (string | number)
/**
 * Seam turned under beside a zip; the seam of the cover when absent.
 */
seam?: (string | number)
/**
 * Place of a zip.
 */
place?: ("across" | "side")
/**
 * Flap over a zip.
 */
flap?: (string | number)
/**
 * Gap left to turn through: sewn shut. Of a boxed cushion also the opening of
 * the zip in its band.
 */
gap?: (string | number)
/**
 * Tab stands out along the gap of a back that is sewn shut, so that one line of
 * top-stitching closes it; 0 for none.
 */
tab?: (string | number)
/**
 * Outer is the piece that lies outside where two overlap: the right one when absent, as the back is seen.
 */
outer?: ("left" | "right")
/**
 * Wait says whether the back is cut after the front is measured: auto waits where the front may come out otherwise
 * than it is cut.
 */
wait?: ("auto" | "yes" | "no")
/**
 * Aside is what was decided for other closures, by the closure. It is not read.
 */
aside?: {
[k: string]: Back1
}
}
export interface Edges {
piping?: Piping
binding?: Binding
/**
 * Inside finish of the seam allowances.
 */
inside?: ("zigzag" | "overlock" | "pinked" | "bound" | "enclosed" | "raw")
/**
 * Topstitch is the distance from the edge at which a turned cover is stitched round,
 * so that its gap is caught: below its seam; half of it when absent.
 */
topstitch?: (string | number)
aside?: Trimmings
}
/**
 * Piping is cord in a strip of cloth, caught in a seam.
 */
export interface Piping {
/**
 * Cord is its diameter, 1/16 to 1 in.
 */
cord?: (string | number)
/**
 * Grain the strips are cut on; bias when absent.
 */
grain?: ("bias" | "straight")
/**
 * Cloth of the strips; the first one when absent.
 */
cloth?: string
/**
 * Joins of straight strips: the fewest, or as many as take least cloth; the fewest when absent.
 */
joins?: ("fewest" | "least-cloth")
/**
 * Bought piping needs its length only.
 */
bought?: boolean
}
/**
 * Binding covers an open edge.
 */
export interface Binding {
/**
 * Shows is how wide it is on either side of the edge, 1/8 to 2 in.
 */
shows?: (string | number)
/**
 * Style: folded double, folded to a tape, or bought.
 */
style?: ("double" | "tape" | "bought")
/**
 * Grain the strips are cut on; straight when absent.
 */
grain?: ("bias" | "straight")
/**
 * Cloth of the strips; the first one when absent.
 */
cloth?: string
/**
 * Joins of straight strips: the fewest, or as many as take least cloth; the fewest when absent.
 */
joins?: ("fewest" | "least-cloth")
}
export interface Trimmings {
piping?: Piping
binding?: Binding
}
/**
 * Fitting is something put on a piece. Which keys count depends on the kind.
 */
export interface Fitting {
/**
 * Key names it among the fittings.
 */
key?: string
kind?: ("handle" | "pocket" | "strap" | "belt" | "slit" | "loop" | "tape" | "button" | "label" | "zip-pull")
on?: string
length?: (string | number)
width?: (string | number)
height?: (string | number)
count?: number
/**
 * Spread is the distance of the two ends of a handle.
 */
spread?: (string | number)
cloth?: string
at?: At1
/**
 * Style of a pocket: flat with a hem at the top, or folded double.
 */
style?: ("flat" | "folded")
/**
 * Slots is how many pens a pocket holds, each in a slot stitched off from its
 * right side, 0 to 12.
 */
slots?: number
/**
 * Slot is the width of one pen slot; 1 in or 25 mm when absent.
 */
slot?: (string | number)
/**
 * Short is the short one of a pair of straps or belts, which stands at the
 * mirrored place; 0: a strap by itself.
 */
short?: (string | number)
/**
 * Tape is the hook-and-loop tape on the short one of a pair; the long one has
 * twice as much, so that it can be set. 3 in or 8 cm when absent.
 */
tape?: (string | number)
layers?: Layers1
}
/**
 * At places something by distances from named edges, or in the middle.
 */
export interface At1 {
left?: (string | number)
right?: (string | number)
top?: (string | number)
bottom?: (string | number)
edge?: ("left" | "right" | "top" | "bottom")
middle?: boolean
}
/**
 * Layers is the stack under a face.
 */
export interface Layers1 {
batting?: Batting
/**
 * Lining is the letter of the lining cloth; absent: no lining.
 */
lining?: string
/**
 * Stiffener is the letter of an interfacing ironed to the lining, without seam
 * allowances; absent: none.
 */
stiffener?: string
/**
 * Grid is a fusible grid ironed behind the batting as a guide for quilting from the back.
 */
grid?: boolean
/**
 * Web is fusible web between the top and what lies under it.
 */
web?: boolean
/**
 * Overhang is how far batting and lining stand out beyond the top, each side.
 */
overhang?: (string | number)
}
/**
 * Made is so many units of a block, sewn.
 */
export interface Made {
/**
 * Cells is the unit as a block is written, by letters of its own from A: A / B. Only units of single patches are
 * told so.
 */
cells: string
/**
 * Cloths are the letters of the fabrics of the plan that the letters stand for, in the order of these.
 */
cloths: string[]
/**
 * Width and Height as sewn, raw edge to raw edge.
 */
width: (string | number)
height: (string | number)
/**
 * Count is how many there are, from 1 to 2000, and Cupboard how many of them came out of the cupboard: they go back
 * there where the plan has them no more.
 */
count: number
cupboard?: number
}
/**
 * Cloth is one cloth of the plan.
 */
export interface Cloth {
/**
 * Name as written on the shelf; the cupboard is searched by it.
 */
name?: string
/**
 * Width from selvedge to selvedge; absent: 42 in.
 */
width?: (string | number)
/**
 * Usable width between the selvedges; absent: 2 in less than the width.
 */
usable?: (string | number)
/**
 * Kind of cloth: cloth, batting, interlining or web.
 */
kind?: ("cloth" | "quilted" | "batting" | "interlining" | "web")
/**
 * Weight: light, medium, heavy, felt or knit; medium when absent.
 */
weight?: ("medium" | "light" | "heavy" | "felt" | "knit")
/**
 * Backing is a light interfacing that is ironed to its wrong side before it is cut, or none; knits are backed when
 * absent.
 */
backing?: ("ironed" | "none")
/**
 * Print direction.
 */
print?: ("plain" | "all-over" | "two-way" | "one-way")
/**
 * Upright keeps every piece as it stands on the cover: the cloth has a nap or a pile.
 */
upright?: boolean
repeat?: Repeat
/**
 * Match cuts pieces of it that meet so that its print goes on over their seams.
 */
match?: boolean
/**
 * Loft is how thick a cloth is that is quilted already, 0 to 2 in; 3 mm when absent.
 */
loft?: (string | number)
/**
 * Stretch is how far it can be pulled across, in percent of its width, 0 to 200.
 */
stretch?: number
/**
 * Have is the length at hand; absent: what the cupboard says.
 */
have?: (string | number)
/**
 * Odd are pieces at hand beside the length: offcuts, and squares and strips that were
 * bought cut.
 */
odd?: OddPiece[]
/**
 * Kept is how much of the length is kept for plans: in the cupboard.
 */
kept?: Keeping[]
/**
 * Back are the cloths of plans that were cut from it and of which what was left over is back: in the cupboard.
 */
back?: CutFor[]
/**
 * Prewashed cloth does not shrink any more.
 */
prewashed?: boolean
/**
 * Price of one yard or one metre, as Per says; 0 when nobody said.
 */
price?: number
/**
 * Per is what the price is for: yd or m; as the units when absent.
 */
per?: ("yd" | "m")
sold?: Sold
/**
 * Shrink is what washing takes from the length before cutting, in percent, 0 to 25.
 */
shrink?: number
swatch?: Swatch
}
export interface Repeat {
across?: (string | number)
along?: (string | number)
}
/**
 * OddPiece is pieces of a cloth that lie beside its length.
 */
export interface OddPiece {
/**
 * Width is across the cloth, Length along it.
 */
width?: (string | number)
length?: (string | number)
/**
 * Count of pieces alike, 1 to 999; 1 when absent.
 */
count?: number
/**
 * For is the plan it is kept for, by its id, and Cloth the letter of its cloth there; absent: nobody's.
 */
for?: string
cloth?: string
}
/**
 * Keeping is a length that is kept for a plan.
 */
export interface Keeping {
/**
 * For is the plan, by its id, and Cloth the letter of its cloth there: whatever that is called. Any of the plan
 * when absent.
 */
for?: string
cloth?: string
length?: (string | number)
}
/**
 * CutFor is the cloth of a plan, by its letter there, that was cut from one of the cupboard.
 */
export interface CutFor {
plan?: string
cloth?: string
}
export interface Sold {
/**
 * By what it is sold: a length off the bolt, whole bolts, printed panels, quarters.
 */
by: ("length" | "bolt" | "panel" | "quarter")
/**
 * Length of one step, bolt or panel; quarters are of a yard or a metre.
 */
length?: (string | number)
}
export interface Swatch {
motif?: ("plain" | "stripe" | "dot" | "check" | "leaf")
/**
 * Ground colour, #rrggbb.
 */
ground?: string
/**
 * Ink colour of the motif, #rrggbb.
 */
ink?: string
/**
 * Photo is the number of a picture of the workshop it is drawn with instead; where that
 * is not there, the rest says how.
 */
photo?: number
}
export interface Habits {
/**
 * Press seams so that they nest, open, or to the dark side.
 */
press?: ("nest" | "open" | "dark" | "crossed")
/**
 * PressBlocks, PressRows, PressJoins and PressBorders are the same for seams within blocks, within rows, between
 * rows and round them; pressed as the others where nothing is said.
 */
press_blocks?: ("nest" | "open" | "dark" | "crossed")
press_rows?: ("nest" | "open" | "dark" | "crossed")
press_joins?: ("nest" | "open" | "dark" | "crossed")
press_borders?: ("nest" | "open" | "dark" | "crossed")
/**
 * Pins come out before the needle, or are sewn over.
 */
pins?: ("remove" | "over")
/**
 * Triangles: cut exactly, cut large in pairs and trimmed, or many at a time.
 */
triangles?: ("exact" | "trim" | "many")
/**
 * Strips: patches side by side in a block cut one by one, or from strip sets.
 */
strips?: ("single" | "sets")
/**
 * Step of the ruler that cuts are rounded up to, 1/64 to 1 in.
 */
step?: (string | number)
/**
 * Fraction that sizes off the ruler are shown to: 8, 16 or 32.
 */
fraction?: number
/**
 * Seam allowance when the cover names none.
 */
seam?: (string | number)
/**
 * PiecingSeam is that within fronts when the cover names none.
 */
piecing_seam?: (string | number)
/**
 * Ease of a cushion when the cover names none.
 */
ease?: (string | number)
/**
 * Hem is each of the two folds of a hem when the back names none.
 */
hem?: (string | number)
/**
 * Hold layers with pins all over, or with temporary spray, until they are quilted.
 */
hold?: ("pins" | "spray")
/**
 * Inside is how seam allowances are finished when the cover does not say.
 */
inside?: ("zigzag" | "overlock" | "pinked" | "bound" | "enclosed" | "raw")
/**
 * Ends of straps: closed with a satin stitch, or turned in.
 */
ends?: ("zigzag" | "turned")
/**
 * Binding: its ends lapped, one of them folded under, or sewn to each other.
 */
binding?: ("folded" | "joined")
/**
 * Lay pieces in strips along a ruler, or freely round templates.
 */
lay?: ("rotary" | "template")
/**
 * Clip corners once across, with three cuts, or at a slant.
 */
clip?: ("across" | "three" | "slant")
/**
 * Round: sew round a cover in one go or in four runs.
 */
round?: ("one-go" | "four-runs")
/**
 * Wage is what an hour of work is reckoned at, Margin what is added to the cost for
 * selling, in percent, and Currency how money is named.
 * What a plan does not say, the habits of the workshop do.
 */
wage?: number
margin?: number
currency?: string
/**
 * Pace is how many minutes the maker takes for each that is usual, 0.2 to 5; 1, or as
 * the workshop says, when absent.
 */
pace?: number
}
/**
 * Measured is what was read off the tape at a gate.
 */
export interface Measured {
/**
 * Gate at which it was measured, by its ref.
 */
gate: string
width?: (string | number)
height?: (string | number)
/**
 * Weight in grams, of the fibre that fills a pad: 0 to 20 000.
 */
weight?: number
sides?: Sides
diagonals?: Diagonals
/**
 * Sure tells that a measurement far from the plan was looked at twice, and is so.
 */
sure?: boolean
/**
 * Across and Up are the remedies chosen for a difference in each direction.
 */
across?: ("follow" | "trim" | "border" | "seam" | "ease" | "accept")
up?: ("follow" | "trim" | "border" | "seam" | "ease" | "accept")
}
export interface Sides {
top?: (string | number)
right?: (string | number)
bottom?: (string | number)
left?: (string | number)
}
/**
 * Diagonals are the two diagonals of a panel: falling from its top left corner, rising
 * to its top right one.
 */
export interface Diagonals {
falling?: (string | number)
rising?: (string | number)
}
export interface Progress {
/**
 * Cut is what is ticked off the cutting list, by its ref, as it was cut: it stays so
 * whatever is measured or changed later.
 */
cut?: {
[k: string]: AsCut
}
/**
 * Spoiled is how many of a cut went wrong and are cut once more, by its ref: 1 to 99.
 */
spoiled?: {
[k: string]: number
}
/**
 * Done lists the steps ticked off, by their refs.
 */
done?: string[]
/**
 * Returned lists the cloths, by their letters, of which what was left over is back in
 * the cupboard.
 */
returned?: string[]
/**
 * Over are units that came out beyond the need, and are put into the cupboard.
 */
over?: Made[]
/**
 * Times are the minutes that steps took, by their refs.
 */
times?: {
[k: string]: number
}
running?: Running
/**
 * Skipped are steps that are left out, by their refs, each with the reason.
 */
skipped?: {
[k: string]: string
}
/**
 * Early are steps that were done before what they need, by their refs, each with the
 * reason.
 */
early?: {
[k: string]: string
}
/**
 * Parts are what steps are divided into, by their refs: 2 to 12 of each. The last part
 * goes by the ref of the step.
 */
parts?: {
[k: string]: StepPart[]
}
/**
 * Made is through how many of several covers a step is, by its ref.
 */
made?: {
[k: string]: number
}
/**
 * Each tells that several covers are sewn one after the other; otherwise each step is
 * done for all of them before the next.
 */
each?: boolean
/**
 * Troubles are what went wrong, the oldest first.
 */
troubles?: Mishap[]
/**
 * Inspected lists what was looked at and found in order when it was done.
 */
inspected?: string[]
/**
 * Unread are names of an older plan that nothing in it answers to. They are kept, and
 * mark nothing as done.
 */
unread?: string[]
}
/**
 * AsCut is what was cut: its size, and how many for all covers together; 0 where nobody
 * wrote it down, and then it is as the plan says.
 */
export interface AsCut {
width?: (string | number)
height?: (string | number)
count?: number
}
export interface Running {
/**
 * Step by its ref, Since a moment such as 2026-03-01T19:30:00Z.
 */
step: string
since: string
}
/**
 * StepPart is one part of a divided step.
 */
export interface StepPart {
/**
 * Key names it among the parts of its step.
 */
key?: string
name?: string
}
/**
 * Mishap is something that went wrong at a step.
 */
export interface Mishap {
step: string
/**
 * Kind is one of those the app knows a remedy for, or other.
 */
kind: string
note?: string
}
export interface Schedule {
/**
 * From is the first day, such as 2026-12-01, and Due the day it must be ready; the
 * first day is today, and there is none, when absent.
 */
from?: string
due?: string
/**
 * Minutes there are on each day of the week, from Monday to Sunday.
 */
minutes?: number[]
/**
 * Lost are days on which there is no time after all.
 */
lost?: string[]
/**
 * Wash tells that the cloths are washed first, which takes them a night to dry.
 */
wash?: boolean
}
export interface Costs {
/**
 * Minutes of work on one cover, 0 where nobody said.
 */
minutes?: number
/**
 * Other costs of the whole batch.
 */
other?: number
}
/**
 * Sought is how a shorter lay was found.
 */
export interface Sought {
/**
 * Way is the lay in numbers, strip by strip from the squared end on, as core/lay writes it.
 */
way: number[]
}
