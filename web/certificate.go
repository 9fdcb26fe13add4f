package web

import (
	"crypto/ecdsa"
	"crypto/elliptic"
	"crypto/rand"
	"crypto/tls"
	"crypto/x509"
	"crypto/x509/pkix"
	"encoding/pem"
	"errors"
	"fmt"
	"io/fs"
	"math/big"
	"net"
	"os"
	"path/filepath"
	"slices"
	"time"
)

// certificateGood is how long a certificate is that the app makes for itself.
const certificateGood = 5 * 365 * 24 * time.Hour

// Certificate is the certificate of a directory, made on first use, and again where it ran out or is asked for by other
// names. Its key stays in the directory, readable by its owner alone.
func Certificate(dir string, names []string, now time.Time) (tls.Certificate, error) {
	certFile, keyFile := filepath.Join(dir, "certificate.pem"), filepath.Join(dir, "certificate.key")
	made, err := tls.LoadX509KeyPair(certFile, keyFile)
	if err == nil && serves(made.Leaf, names, now) {
		return made, nil
	}
	if err != nil && !errors.Is(err, fs.ErrNotExist) {
		return made, fmt.Errorf("read the certificate in %s: %w; move certificate.pem and certificate.key away, and another one is made", dir, err)
	}
	cert, key, err := newCertificate(names, now)
	if err != nil {
		return made, fmt.Errorf("make a certificate: %w", err)
	}
	if err := os.WriteFile(keyFile, key, 0o600); err != nil {
		return made, fmt.Errorf("keep the key of the certificate: %w", err)
	}
	if err := os.WriteFile(certFile, cert, 0o600); err != nil {
		return made, fmt.Errorf("keep the certificate: %w", err)
	}
	return tls.X509KeyPair(cert, key)
}

// serves tells whether a certificate is good for all names for another month.
func serves(leaf *x509.Certificate, names []string, now time.Time) bool {
	return now.Add(30*24*time.Hour).Before(leaf.NotAfter) &&
		!slices.ContainsFunc(names, func(name string) bool { return leaf.VerifyHostname(name) != nil })
}

func newCertificate(names []string, now time.Time) (cert, key []byte, err error) {
	private, err := ecdsa.GenerateKey(elliptic.P256(), rand.Reader)
	if err != nil {
		return nil, nil, err
	}
	serial, err := rand.Int(rand.Reader, new(big.Int).Lsh(big.NewInt(1), 120))
	if err != nil {
		return nil, nil, err
	}
	of := x509.Certificate{SerialNumber: serial, Subject: pkix.Name{CommonName: "Umschlag"},
		NotBefore: now.Add(-time.Hour), NotAfter: now.Add(certificateGood), KeyUsage: x509.KeyUsageDigitalSignature,
		ExtKeyUsage: []x509.ExtKeyUsage{x509.ExtKeyUsageServerAuth}, BasicConstraintsValid: true}
	for _, name := range names {
		if ip := net.ParseIP(name); ip != nil {
			of.IPAddresses = append(of.IPAddresses, ip)
		} else {
			of.DNSNames = append(of.DNSNames, name)
		}
	}
	der, err := x509.CreateCertificate(rand.Reader, &of, &of, &private.PublicKey, private)
	if err != nil {
		return nil, nil, err
	}
	secret, err := x509.MarshalPKCS8PrivateKey(private)
	if err != nil {
		return nil, nil, err
	}
	return pem.EncodeToMemory(&pem.Block{Type: "CERTIFICATE", Bytes: der}),
		pem.EncodeToMemory(&pem.Block{Type: "PRIVATE KEY", Bytes: secret}), nil
}
