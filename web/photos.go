package web

import (
	"context"
	"io"
	"net/http"
	"strings"

	"github.com/labstack/echo/v5"

	"umschlag/format/photo"
)

// PhotoView is a picture that is kept.
type PhotoView struct {
	ID     int `json:"id"`
	Width  int `json:"width"`
	Height int `json:"height"`
	// Average is its colour on the whole, #rrggbb.
	Average string `json:"average"`
}

const photosPath = "/api/v1/photos"

// large tells the requests that may carry a picture.
func large(c *echo.Context) bool {
	path := strings.TrimSuffix(c.Request().URL.Path, "/")
	return c.Request().Method == http.MethodPost && (path == photosPath || path == workshopPath)
}

// taken is a picture read in, of which no more are unpacked at once than there are cores.
func (s *server) taken(ctx context.Context, data []byte) (photo.Photo, error) {
	select {
	case s.unpacking <- struct{}{}:
		defer func() { <-s.unpacking }()
		return photo.Read(data)
	case <-ctx.Done():
		return photo.Photo{}, ctx.Err()
	}
}

// addPhoto takes a picture in, without what the camera wrote beside it.
func (s *server) addPhoto(c *echo.Context) error {
	data, err := io.ReadAll(io.LimitReader(c.Request().Body, photo.MostBytes+1))
	if err != nil {
		return err
	}
	p, err := s.taken(c.Request().Context(), data)
	if err != nil {
		return echo.NewHTTPError(http.StatusBadRequest, sentence(err.Error()))
	}
	id, err := s.store.AddPhoto(c.Request().Context(), p.JPEG, p.Width, p.Height)
	if err != nil {
		return err
	}
	return c.JSON(http.StatusCreated, PhotoView{ID: id, Width: p.Width, Height: p.Height, Average: p.Average})
}

func (s *server) photo(c *echo.Context) error {
	id, err := number(c)
	if err != nil {
		return err
	}
	jpeg, err := s.store.Photo(c.Request().Context(), id)
	if err != nil {
		return err
	}
	c.Response().Header().Set("Cache-Control", "private, max-age=31536000, immutable")
	return c.Blob(http.StatusOK, "image/jpeg", jpeg)
}
