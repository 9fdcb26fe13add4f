package main

import (
	"context"
	"crypto/tls"
	"errors"
	"fmt"
	"io"
	"log/slog"
	"os"
	"path/filepath"
	"strings"
	"time"

	"github.com/spf13/cobra"

	"umschlag/demo"
	"umschlag/store"
	"umschlag/web"
)

const defaultListen = "127.0.0.1:8437"

type serveFlags struct {
	listen  string
	keyFile string
	hosts   []string
	tls     bool
	proxied bool
}

func (f *serveFlags) add(cmd *cobra.Command) {
	cmd.Flags().StringVar(&f.listen, "listen", defaultListen, "address to listen on")
	cmd.Flags().StringVar(&f.keyFile, "access-key-file", "",
		"file with the access key; needed on any address but loopback")
	cmd.Flags().BoolVar(&f.tls, "tls", false, "speak TLS, with a certificate that is made on first use")
	cmd.Flags().BoolVar(&f.proxied, "behind-proxy", false, "a proxy in front of the app speaks TLS")
	cmd.Flags().StringSliceVar(&f.hosts, "host", nil, "further host name the app is called by")
}

func serveCommand() *cobra.Command {
	var f serveFlags
	var data string
	cmd := &cobra.Command{Use: "serve", Short: "Serve the app with the data in a directory", Args: cobra.NoArgs,
		RunE: func(cmd *cobra.Command, _ []string) error {
			if err := os.MkdirAll(data, 0o700); err != nil {
				return err
			}
			return serve(cmd.Context(), cmd.OutOrStdout(), f, data, nil)
		}}
	f.add(cmd)
	cmd.Flags().StringVar(&data, "data", "", "directory of the database")
	_ = cmd.MarkFlagRequired("data") // the flag was made on the line above
	return cmd
}

func demoCommand() *cobra.Command {
	var f serveFlags
	cmd := &cobra.Command{Use: "demo", Short: "Serve the app with a fresh copy of the demo data", Args: cobra.NoArgs,
		RunE: func(cmd *cobra.Command, _ []string) error {
			dir, err := os.MkdirTemp("", "umschlag-demo-")
			if err != nil {
				return err
			}
			return errors.Join(serve(cmd.Context(), cmd.OutOrStdout(), f, dir, demo.Fill), os.RemoveAll(dir))
		}}
	f.add(cmd)
	return cmd
}

// serve opens the store, fills it when told to, and answers until ctx is done.
func serve(ctx context.Context, out io.Writer, f serveFlags, dir string,
	fill func(context.Context, *store.Store) error) (err error) {
	key, err := readKey(f.keyFile)
	if err != nil {
		return err
	}
	s, err := store.Open(ctx, dir, time.Now)
	if err != nil {
		return err
	}
	defer func() { err = errors.Join(err, s.Close()) }()
	if fill != nil {
		if err := fill(ctx, s); err != nil {
			return fmt.Errorf("fill with the demo data: %w", err)
		}
	}
	log := slog.New(slog.NewTextHandler(os.Stderr, &slog.HandlerOptions{Level: slog.LevelWarn}))
	cfg := web.Config{Store: s, Log: log, Hosts: f.hosts, AccessKey: key, Secure: f.tls || f.proxied}
	scheme, own := "http", (*tls.Config)(nil)
	if f.tls {
		cert, err := web.Certificate(dir, append([]string{"localhost", "127.0.0.1"}, f.hosts...), time.Now())
		if err != nil {
			return err
		}
		scheme, own = "https", &tls.Config{Certificates: []tls.Certificate{cert}, MinVersion: tls.VersionTLS12}
		cfg.Fingerprint = web.Fingerprint(cert.Certificate[0])
	}
	l, err := web.Listen(ctx, f.listen, key, own, f.proxied)
	if err != nil {
		return err
	}
	// A closed terminal must not stop the server.
	_, _ = fmt.Fprintf(out, "Umschlag is open at %s://%s\n", scheme, l.Addr())
	if cfg.Fingerprint != "" {
		_, _ = fmt.Fprintf(out, "Its certificate, SHA-256: %s\n", cfg.Fingerprint)
	}
	return web.Serve(ctx, l, web.New(cfg))
}

// readKey reads the access key; it stands in a file so that it is in no list of
// running commands.
func readKey(name string) (string, error) {
	if name == "" {
		return "", nil
	}
	data, err := os.ReadFile(filepath.Clean(name))
	if err != nil {
		return "", fmt.Errorf("read the access key: %w", err)
	}
	key := strings.TrimSpace(string(data))
	if len(key) < 12 {
		return "", errors.New("the access key is too short: use at least 12 characters")
	}
	return key, nil
}

func backupCommand() *cobra.Command {
	var data string
	cmd := &cobra.Command{Use: "backup FILE",
		Short: "Write a copy of the database to a new file, also while the app runs", Args: cobra.ExactArgs(1),
		RunE: func(cmd *cobra.Command, args []string) error {
			return store.Copy(cmd.Context(), data, args[0])
		}}
	cmd.Flags().StringVar(&data, "data", "", "directory of the database")
	_ = cmd.MarkFlagRequired("data") // the flag was made on the line above
	return cmd
}

func restoreCommand() *cobra.Command {
	var data string
	cmd := &cobra.Command{Use: "restore FILE",
		Short: "Put a copy in the place of the database, after it was tried; what was there is kept beside it",
		Args:  cobra.ExactArgs(1),
		RunE: func(cmd *cobra.Command, args []string) error {
			if err := os.MkdirAll(data, 0o700); err != nil {
				return err
			}
			kept, err := store.Restore(cmd.Context(), args[0], data, time.Now().UTC().Format("20060102T150405"))
			if err != nil {
				return err
			}
			if kept != "" {
				_, err = fmt.Fprintf(cmd.OutOrStdout(), "What was there before is kept as %s\n", kept)
			}
			return err
		}}
	cmd.Flags().StringVar(&data, "data", "", "directory of the database")
	_ = cmd.MarkFlagRequired("data") // the flag was made on the line above
	return cmd
}
