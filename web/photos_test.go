package web_test

import (
	"bytes"
	"fmt"
	"image"
	"image/color"
	"image/jpeg"
	"image/png"
	"math/rand/v2"
	"net/http/httptest"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"umschlag/web"
)

// noise is a picture that no encoder makes small.
func noise(t *testing.T, side int) []byte {
	t.Helper()
	random := rand.New(rand.NewPCG(1, 1))
	img := image.NewNRGBA(image.Rect(0, 0, side, side))
	for x := range side {
		for y := range side {
			img.Set(x, y, color.NRGBA{R: uint8(random.IntN(256)), G: uint8(random.IntN(256)),
				B: uint8(random.IntN(256)), A: 255})
		}
	}
	var b bytes.Buffer
	require.NoError(t, png.Encode(&b, img))
	return b.Bytes()
}

func TestAPhotoOfACloth(t *testing.T) {
	h := app(t)
	data := noise(t, 1000)
	require.Greater(t, len(data), 2<<20, "larger than a plan may be")
	var kept web.PhotoView
	require.Equal(t, 201, call(t, h, "POST", "/api/v1/photos", string(data), &kept).Code)
	assert.Equal(t, []int{1000, 1000}, []int{kept.Width, kept.Height})
	assert.Regexp(t, `^#[78][0-9a-f][78][0-9a-f][78][0-9a-f]$`, kept.Average)
	w := httptest.NewRecorder()
	h.ServeHTTP(w, httptest.NewRequest("GET", fmt.Sprintf("http://localhost/api/v1/photos/%d", kept.ID), nil))
	assert.Equal(t, "image/jpeg", w.Header().Get("Content-Type"))
	_, err := jpeg.Decode(w.Body)
	require.NoError(t, err)

	var cloth web.ClothView
	require.Equal(t, 201, call(t, h, "POST", "/api/v1/cloths",
		map[string]any{"cloth": map[string]any{"name": "speckle", "swatch": map[string]any{"photo": kept.ID}}},
		&cloth).Code)
	assert.Equal(t, kept.ID, cloth.Swatch.Photo)
}

func TestWhatIsNoPhotoIsRefused(t *testing.T) {
	h := app(t)
	p := refused(t, h, "POST", "/api/v1/photos", "name,have\n", 400)
	assert.Contains(t, p.Detail, "choose a JPEG, PNG or GIF file")
	refused(t, h, "GET", "/api/v1/photos/999", nil, 404)
	refused(t, h, "GET", "/api/v1/photos/x", nil, 404)
	refused(t, h, "POST", "/api/v1/cloths/table", string(noise(t, 1000)), 413)
}
