package photo

import (
	"bytes"
	"encoding/binary"
	"image"
)

// upright is the orientation of a picture that needs no turning.
const upright = 1

// orientation is how a camera was held, 1 to 8, by what it wrote into a JPEG; upright where it wrote nothing that can
// be read. Source: Exif 2.3, 4.6.4 A, tag 274; the file as in JFIF, ITU-T T.871.
func orientation(data []byte) int {
	exif, found := exifOf(data)
	if !found || len(exif) < 8 {
		return upright
	}
	var order binary.ByteOrder = binary.BigEndian
	if exif[0] == 'I' {
		order = binary.LittleEndian
	}
	at := int64(order.Uint32(exif[4:]))
	if at+2 > int64(len(exif)) {
		return upright
	}
	const entry = 12
	entries := exif[at+2:]
	for range order.Uint16(exif[at:]) {
		if len(entries) < entry {
			break
		}
		if order.Uint16(entries) == 0x0112 {
			if o := int(order.Uint16(entries[8:])); o >= upright && o <= 8 {
				return o
			}
			break
		}
		entries = entries[entry:]
	}
	return upright
}

// exifOf is what a camera wrote beside a JPEG: the segments before its picture are passed over one by one.
func exifOf(data []byte) ([]byte, bool) {
	const start, app1, scan = 0xd8, 0xe1, 0xda
	if len(data) < 2 || data[0] != 0xff || data[1] != start {
		return nil, false
	}
	for data = data[2:]; len(data) >= 4 && data[0] == 0xff && data[1] != scan; {
		length := int(binary.BigEndian.Uint16(data[2:])) + 2
		if length < 4 || length > len(data) {
			break
		}
		if exif, is := bytes.CutPrefix(data[4:length], []byte("Exif\x00\x00")); data[1] == app1 && is {
			return exif, true
		}
		data = data[length:]
	}
	return nil, false
}

// turned is a picture as it was seen, of an orientation.
func turned(img *image.RGBA, orientation int) *image.RGBA {
	if orientation == upright {
		return img
	}
	size := img.Bounds().Size()
	w, h := size.X, size.Y
	// from is where a dot of the turned picture lies in the one as it was taken
	from := map[int]func(x, y int) (int, int){
		2: func(x, y int) (int, int) { return w - 1 - x, y },
		3: func(x, y int) (int, int) { return w - 1 - x, h - 1 - y },
		4: func(x, y int) (int, int) { return x, h - 1 - y },
		5: func(x, y int) (int, int) { return y, x },
		6: func(x, y int) (int, int) { return y, h - 1 - x },
		7: func(x, y int) (int, int) { return w - 1 - y, h - 1 - x },
		8: func(x, y int) (int, int) { return w - 1 - y, x },
	}[orientation]
	if orientation > 4 { // a quarter turn
		size = image.Pt(h, w)
	}
	out := image.NewRGBA(image.Rectangle{Max: size})
	for y := range size.Y {
		for x := range size.X {
			sx, sy := from(x, y)
			copy(out.Pix[out.PixOffset(x, y):][:4], img.Pix[img.PixOffset(sx, sy):][:4])
		}
	}
	return out
}
