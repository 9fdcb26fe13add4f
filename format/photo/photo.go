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

	"github.com/disintegration/imaging"
)

// The bounds of a picture that is read.
const (
	MostBytes  = 16 << 20
	mostPixels = 60_000_000
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
	if dots := int64(cfg.Width) * int64(cfg.Height); dots > mostPixels {
		return Photo{}, fmt.Errorf("the picture has %d × %d dots; choose one of up to %d million", cfg.Width,
			cfg.Height, mostPixels/1_000_000)
	}
	img, err := imaging.Decode(bytes.NewReader(data), imaging.AutoOrientation(true))
	if err != nil {
		return Photo{}, errors.New("the picture is cut off or damaged; choose another one")
	}
	img = imaging.Fit(img, side, side, imaging.Lanczos)
	var out bytes.Buffer
	if err := jpeg.Encode(&out, img, &jpeg.Options{Quality: quality}); err != nil {
		return Photo{}, fmt.Errorf("encode the picture: %w", err)
	}
	one := imaging.Resize(img, 1, 1, imaging.Box).NRGBAAt(0, 0)
	size := img.Bounds().Size()
	return Photo{JPEG: out.Bytes(), Width: size.X, Height: size.Y,
		Average: fmt.Sprintf("#%02x%02x%02x", one.R, one.G, one.B)}, nil
}
