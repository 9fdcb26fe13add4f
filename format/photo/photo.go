// Package photo takes pictures in: it decodes them, turns them as their camera was held,
// makes them no larger than the app shows, and encodes them anew, so that nothing the
// camera wrote beside the picture, such as where it was, is kept.
package photo

import (
	"bytes"
	"errors"
	"fmt"
	"image"
	_ "image/gif" // read as well as JPEG and PNG
	"image/jpeg"
	_ "image/png" // as above

	"golang.org/x/image/draw"
)

// The bounds of a picture that is read.
const (
	MostBytes  = 16 << 20
	mostPixels = 60_000_000
	// few dots are read whatever their file takes; of more, a byte of the file stands for no more than so many, far
	// beyond any photo: what unpacks to much more than it is costs time and memory, and shows nothing.
	few, dotsAByte = 4_000_000, 1_000
	// side is how long the longer side is kept at most, in pixels, and quality how well.
	side    = 1600
	quality = 85
)

// Photo is a picture as it is kept.
type Photo struct {
	JPEG          []byte
	Width, Height int
	// Average is its colour on the whole, #rrggbb.
	Average string
}

// Read takes a picture in. The error says what to choose instead.
func Read(data []byte) (Photo, error) {
	if len(data) > MostBytes {
		return Photo{}, fmt.Errorf("the picture has %d MB; choose one of up to %d", len(data)>>20, MostBytes>>20)
	}
	cfg, _, err := image.DecodeConfig(bytes.NewReader(data))
	if err != nil {
		return Photo{}, errors.New("that is no picture that can be read; choose a JPEG, PNG or GIF file")
	}
	dots := int64(cfg.Width) * int64(cfg.Height)
	if dots > mostPixels {
		return Photo{}, fmt.Errorf("the picture has %d × %d dots; choose one of up to %d million", cfg.Width,
			cfg.Height, mostPixels/1_000_000)
	}
	if dots > few && dots > dotsAByte*int64(len(data)) {
		return Photo{}, fmt.Errorf("the picture has %d × %d dots and hardly anything in them; choose a photo, or make "+
			"it smaller", cfg.Width, cfg.Height)
	}
	img, _, err := image.Decode(bytes.NewReader(data))
	if err != nil {
		return Photo{}, errors.New("the picture is cut off or damaged; choose another one")
	}
	kept := turned(smaller(img), orientation(data))
	var out bytes.Buffer
	if err := jpeg.Encode(&out, kept, &jpeg.Options{Quality: quality}); err != nil {
		return Photo{}, fmt.Errorf("encode the picture: %w", err)
	}
	size := kept.Bounds().Size()
	return Photo{JPEG: out.Bytes(), Width: size.X, Height: size.Y, Average: average(kept)}, nil
}

// smaller is a picture on white whose longer side is no longer than is kept. One that is much larger is first taken
// apart at every few dots, so that it costs no more than one of twice the size that is kept.
func smaller(img image.Image) *image.RGBA {
	size := img.Bounds().Size()
	if max(size.X, size.Y) > 4*side {
		img = scaled(img, 2*side, draw.ApproxBiLinear)
	}
	return scaled(img, side, draw.CatmullRom)
}

func scaled(img image.Image, most int, by draw.Scaler) *image.RGBA {
	size := img.Bounds().Size()
	if longer := max(size.X, size.Y); longer > most {
		size = image.Pt(max(1, size.X*most/longer), max(1, size.Y*most/longer))
	}
	out := image.NewRGBA(image.Rectangle{Max: size})
	draw.Draw(out, out.Bounds(), image.White, image.Point{}, draw.Src)
	by.Scale(out, out.Bounds(), img, img.Bounds(), draw.Over, nil)
	return out
}

// average is the colour of a picture on the whole, #rrggbb.
func average(img *image.RGBA) string {
	var sum [3]uint64
	for i := 0; i+3 < len(img.Pix); i += 4 {
		for k := range sum {
			sum[k] += uint64(img.Pix[i+k])
		}
	}
	dots := uint64(max(1, len(img.Pix)/4))
	return fmt.Sprintf("#%02x%02x%02x", sum[0]/dots, sum[1]/dots, sum[2]/dots)
}
