package photo_test

import (
	"bytes"
	"encoding/binary"
	"hash/crc32"
	"image"
	"image/color"
	"image/gif"
	"image/jpeg"
	"image/png"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"umschlag/format/photo"
)

// halves is a picture whose left half is red and whose right half is blue.
func halves(w, h int) image.Image {
	img := image.NewNRGBA(image.Rect(0, 0, w, h))
	for x := range w {
		for y := range h {
			c := color.NRGBA{R: 200, A: 255}
			if x >= w/2 {
				c = color.NRGBA{B: 200, A: 255}
			}
			img.Set(x, y, c)
		}
	}
	return img
}

func encoded(t *testing.T, write func(*bytes.Buffer) error) []byte {
	t.Helper()
	var b bytes.Buffer
	require.NoError(t, write(&b))
	return b.Bytes()
}

func TestPicturesOfEveryKindAreKeptAsJPEG(t *testing.T) {
	img := halves(40, 20)
	for name, data := range map[string][]byte{
		"png":  encoded(t, func(b *bytes.Buffer) error { return png.Encode(b, img) }),
		"jpeg": encoded(t, func(b *bytes.Buffer) error { return jpeg.Encode(b, img, nil) }),
		"gif":  encoded(t, func(b *bytes.Buffer) error { return gif.Encode(b, img, nil) }),
	} {
		p, err := photo.Read(data)
		require.NoError(t, err, name)
		assert.Equal(t, []int{40, 20}, []int{p.Width, p.Height}, name)
		_, err = jpeg.Decode(bytes.NewReader(p.JPEG))
		require.NoError(t, err, name)
		assert.Regexp(t, `^#[56]\d?[0-9a-f]00[56][0-9a-f]$`, p.Average, name)
	}
}

func TestALargePictureIsMadeSmaller(t *testing.T) {
	p, err := photo.Read(encoded(t,
		func(b *bytes.Buffer) error { return png.Encode(b, image.NewGray(image.Rect(0, 0, 3200, 800))) }))
	require.NoError(t, err)
	assert.Equal(t, []int{1600, 400}, []int{p.Width, p.Height})
}

// Of a picture as thin as a thread a thread is kept.
func TestAThinPictureStaysOneDotThin(t *testing.T) {
	p, err := photo.Read(encoded(t,
		func(b *bytes.Buffer) error { return png.Encode(b, image.NewGray(image.Rect(0, 0, 1, 3200))) }))
	require.NoError(t, err)
	assert.Equal(t, []int{1, 1600}, []int{p.Width, p.Height})
}

// held is a JPEG with what a camera writes beside it: how it was held, and a place, in either
// order of bytes. Exif 2.3: tag 0x0112 is the orientation, 0x8825 points to the place.
func held(t *testing.T, img image.Image, how uint16, little bool) []byte {
	t.Helper()
	plain := encoded(t, func(b *bytes.Buffer) error { return jpeg.Encode(b, img, nil) })
	var tiff bytes.Buffer
	if little {
		tiff.WriteString("II\x2a\x00\x08\x00\x00\x00\x02\x00")
		for _, tag := range [][]uint16{{0x8825, 4, 1, 0, 38, 0}, {0x0112, 3, 1, 0, how, 0}} {
			require.NoError(t, binary.Write(&tiff, binary.LittleEndian, tag))
		}
	} else {
		tiff.WriteString("MM\x00\x2a\x00\x00\x00\x08\x00\x02")
		for _, tag := range [][]uint16{{0x0112, 3, 0, 1, how, 0}, {0x8825, 4, 0, 1, 0, 38}} {
			require.NoError(t, binary.Write(&tiff, binary.BigEndian, tag))
		}
	}
	tiff.WriteString("\x00\x00\x00\x00GPS 52.5 13.4")
	body := append([]byte("Exif\x00\x00"), tiff.Bytes()...)
	length := len(body) + 2
	app := append([]byte{0xff, 0xe1, byte(length >> 8), byte(length)}, body...)
	return append(append(bytes.Clone(plain[:2]), app...), plain[2:]...)
}

func TestItIsTurnedAsItWasHeldAndItsPlaceIsNotKept(t *testing.T) {
	data := held(t, halves(40, 20), 6, false)
	require.Contains(t, string(data), "GPS 52.5")
	p, err := photo.Read(data)
	require.NoError(t, err)
	assert.Equal(t, []int{20, 40}, []int{p.Width, p.Height}, "a quarter turn")
	img, err := jpeg.Decode(bytes.NewReader(p.JPEG))
	require.NoError(t, err)
	r, _, b, _ := img.At(10, 4).RGBA()
	assert.Greater(t, r, b, "its left half is on top now")
	assert.NotContains(t, string(p.JPEG), "GPS")
	assert.NotContains(t, string(p.JPEG), "Exif")
}

// What a camera wrote may be cut off or point anywhere: the picture is read as it lies.
func TestWhatACameraWroteBadlyIsPassedOver(t *testing.T) {
	good := held(t, halves(40, 20), 6, false)
	at := bytes.Index(good, []byte("MM\x00\x2a")) + 4 // where it points to its entries
	whole := bytes.Index(good, []byte("GPS 52.5 13.4")) + len("GPS 52.5 13.4") - (at - 4)
	for _, points := range []int{whole - 1, whole, whole + 1, 1 << 30} {
		bad := bytes.Clone(good)
		binary.BigEndian.PutUint32(bad[at:], uint32(points))
		p, err := photo.Read(bad)
		require.NoError(t, err)
		assert.Equal(t, []int{40, 20}, []int{p.Width, p.Height}, "%d of %d", points, whole)
	}
	most := bytes.Clone(good)
	binary.BigEndian.PutUint16(most[at+4:], 65535) // entries, of which two are there
	most[at+6], most[at+7] = 0x01, 0x13            // and none is the one that is looked for
	p, err := photo.Read(most)
	require.NoError(t, err)
	assert.Equal(t, 40, p.Width)
}

// quarters is a picture of four colours: red and green above blue and black.
func quarters(w, h int) image.Image {
	img := image.NewNRGBA(image.Rect(0, 0, w, h))
	for x := range w {
		for y := range h {
			img.Set(x, y, [2][2]color.NRGBA{{{R: 255, A: 255}, {G: 255, A: 255}},
				{{B: 255, A: 255}, {A: 255}}}[2*y/h][2*x/w])
		}
	}
	return img
}

func TestEveryWayACameraIsHeld(t *testing.T) {
	name := func(c color.Color) string {
		r, g, b, _ := c.RGBA()
		switch {
		case max(r, g, b) < 0x4000:
			return "black"
		case r > g && r > b:
			return "red"
		case g > b:
			return "green"
		}
		return "blue"
	}
	// What is seen in the upper left and in the upper right. Exif 2.3, 4.6.4 A, tag 274: which side of the scene row 0
	// and column 0 are.
	for how, seen := range map[uint16][2]string{1: {"red", "green"}, 2: {"green", "red"}, 3: {"black", "blue"},
		4: {"blue", "black"}, 5: {"red", "blue"}, 6: {"blue", "red"}, 7: {"black", "green"}, 8: {"green", "black"},
		0: {"red", "green"}, 9: {"red", "green"}} {
		for _, little := range []bool{false, true} {
			p, err := photo.Read(held(t, quarters(64, 32), how, little))
			require.NoError(t, err)
			img, err := jpeg.Decode(bytes.NewReader(p.JPEG))
			require.NoError(t, err)
			assert.Equal(t, seen, [2]string{name(img.At(4, 4)), name(img.At(p.Width-5, 4))}, "%d", how)
			assert.Equal(t, how >= 5 && how <= 8, p.Height > p.Width, "%d", how)
		}
	}
}

func TestWhatShowsThroughIsWhite(t *testing.T) {
	empty := image.NewNRGBA(image.Rect(0, 0, 9, 9))
	p, err := photo.Read(encoded(t, func(b *bytes.Buffer) error { return png.Encode(b, empty) }))
	require.NoError(t, err)
	assert.Equal(t, "#ffffff", p.Average)
}

// What unpacks to far more than it is, and files of other formats than are offered, are refused before they are read.
func TestAPictureThatIsNearlyEmptyIsNotUnpacked(t *testing.T) {
	empty := encoded(t, func(b *bytes.Buffer) error {
		return png.Encode(b, image.NewPaletted(image.Rect(0, 0, 7000, 8000),
			color.Palette{color.Black, color.White}))
	})
	require.Less(t, len(empty), 20_000)
	_, err := photo.Read(empty)
	require.ErrorContains(t, err, "hardly anything in them")
	_, err = photo.Read([]byte("II\x2a\x00\x08\x00\x00\x00\x00\x00"))
	require.ErrorContains(t, err, "choose a JPEG, PNG or GIF file")
}

func TestWhatIsNoPictureIsRefused(t *testing.T) {
	whole := encoded(t, func(b *bytes.Buffer) error { return png.Encode(b, halves(400, 200)) })
	huge := bytes.Clone(whole)
	copy(huge[16:24], []byte{0, 0xff, 0xff, 0xff, 0, 0xff, 0xff, 0xff}) // its header says 16 million by 16 million
	for name, c := range map[string]struct {
		data []byte
		says string
	}{
		"nothing":     {nil, "no picture that can be read"},
		"text":        {[]byte("name,have\nleaf,1 yd\n"), "no picture that can be read"},
		"cut off":     {whole[:len(whole)/2], "cut off or damaged"},
		"too many MB": {make([]byte, photo.MostBytes+1), "choose one of up to 16"},
	} {
		_, err := photo.Read(c.data)
		require.ErrorContains(t, err, c.says, name)
	}
	_, err := photo.Read(huge)
	require.Error(t, err, "a header that lies is not believed")
}

// Whatever is sent as a picture: it is refused, or kept as a JPEG no larger than is shown.
func FuzzRead(f *testing.F) {
	var b bytes.Buffer
	require.NoError(f, png.Encode(&b, halves(8, 6)))
	f.Add(b.Bytes())
	b.Reset()
	require.NoError(f, gif.Encode(&b, halves(5, 5), nil))
	f.Add(bytes.Clone(b.Bytes()))
	f.Add([]byte("\xff\xd8\xff\xe1\x00\x10Exif\x00\x00MM"))
	f.Fuzz(func(t *testing.T, data []byte) {
		p, err := photo.Read(data)
		if err != nil {
			assert.NotEmpty(t, err.Error())
			return
		}
		cfg, err := jpeg.DecodeConfig(bytes.NewReader(p.JPEG))
		require.NoError(t, err)
		assert.Equal(t, []int{p.Width, p.Height}, []int{cfg.Width, cfg.Height})
		assert.LessOrEqual(t, max(p.Width, p.Height), 1600)
	})
}

// header is a PNG that says how large it is and ends there.
func header(w, h uint32) []byte {
	body := append([]byte("IHDR"), make([]byte, 13)...)
	binary.BigEndian.PutUint32(body[4:], w)
	binary.BigEndian.PutUint32(body[8:], h)
	body[12], body[13] = 8, 2 // eight bits of three colours
	out := append([]byte("\x89PNG\r\n\x1a\n"), 0, 0, 0, 13)
	out = append(out, body...)
	return binary.BigEndian.AppendUint32(out, crc32.ChecksumIEEE(body))
}

// Four million dots are read whatever they take, and sixty million at most, whichever way they lie; the picture is not
// unpacked to know it.
func TestHowManyDotsAreRead(t *testing.T) {
	for _, c := range []struct {
		w, h uint32
		says string
	}{{2_000, 2_000, "damaged"}, {4_000_000, 1, "damaged"}, {4_000_001, 1, "hardly anything"},
		{60_000_000, 1, "hardly anything"}, {60_000_001, 1, "up to 60 million"},
		{1, 60_000_001, "up to 60 million"}, {65_000, 65_000, "65000 × 65000 dots"}} {
		_, err := photo.Read(header(c.w, c.h))
		assert.ErrorContains(t, err, c.says, "%d × %d", c.w, c.h)
	}
	_, err := photo.Read(make([]byte, photo.MostBytes+1))
	require.ErrorContains(t, err, "has 16 MB; choose one of up to 16")
	_, err = photo.Read(make([]byte, photo.MostBytes))
	assert.ErrorContains(t, err, "no picture")
}
