using System.Net;
using System.Security.Cryptography;
using System.Security.Cryptography.X509Certificates;
using NodaTime;

namespace SetFirm.Web.Sharing;

/// <summary>The machine's own certificate for its home network: an authority that devices are told to trust once, and a certificate by it for the addresses of today.</summary>
/// <remarks>No public authority vouches for addresses of a home. The authority's key is kept in the data file, and may sign for this machine's names only.</remarks>
internal sealed class HomeCertificate(HomeSettings settings, IClock clock)
{
    private const string Key = "certificate";
    private const int AuthorityYears = 10;

    /// <summary>Telephones take none that is good for longer.</summary>
    private const int Days = 390;

    private static readonly TimeSpan Leeway = TimeSpan.FromDays(1);

    /// <summary>For the addresses of today; null until one was made.</summary>
    public X509Certificate2? Current { get; private set; }

    /// <summary>What devices are told to trust, as DER.</summary>
    public byte[] Authority()
    {
        using var authority = Kept();
        return authority.Export(X509ContentType.Cert);
    }

    /// <summary>Makes a certificate for these names.</summary>
    public void For(IReadOnlyList<string> names)
    {
        using var authority = Kept();
        using var key = ECDsa.Create(ECCurve.NamedCurves.nistP256);
        var request = new CertificateRequest("CN=Set Firm at home", key, HashAlgorithmName.SHA256);
        var alternative = new SubjectAlternativeNameBuilder();
        foreach (var name in names)
        {
            if (IPAddress.TryParse(name, out var address))
            {
                alternative.AddIpAddress(address);
            }
            else
            {
                alternative.AddDnsName(name);
            }
        }

        request.CertificateExtensions.Add(alternative.Build());
        request.CertificateExtensions.Add(new X509BasicConstraintsExtension(false, false, 0, true));
        request.CertificateExtensions.Add(new X509KeyUsageExtension(X509KeyUsageFlags.DigitalSignature, true));
        request.CertificateExtensions.Add(new X509EnhancedKeyUsageExtension([new Oid("1.3.6.1.5.5.7.3.1")], false));
        var now = Now();
        using var made = request.Create(authority, now - Leeway, now.AddDays(Days), RandomNumberGenerator.GetBytes(16));
        using var whole = made.CopyWithPrivateKey(key);
        // Kept in memory as a file would hold it: only so do all systems serve it.
        Current = X509CertificateLoader.LoadPkcs12(whole.Export(X509ContentType.Pfx), null);
    }

    private X509Certificate2 Kept()
    {
        if (settings.Read(Key) is { } kept)
        {
            var known = X509CertificateLoader.LoadPkcs12(Convert.FromBase64String(kept), null);
            if (known.NotAfter > Now().AddDays(Days))
            {
                return known;
            }

            known.Dispose();
        }

        using var key = ECDsa.Create(ECCurve.NamedCurves.nistP256);
        var request = new CertificateRequest("CN=Set Firm of this household", key, HashAlgorithmName.SHA256);
        request.CertificateExtensions.Add(new X509BasicConstraintsExtension(true, true, 0, true));
        request.CertificateExtensions.Add(new X509KeyUsageExtension(X509KeyUsageFlags.KeyCertSign, true));
        request.CertificateExtensions.Add(new X509SubjectKeyIdentifierExtension(request.PublicKey, false));
        var now = Now();
        using var made = request.CreateSelfSigned(now - Leeway, now.AddYears(AuthorityYears));
        var pfx = made.Export(X509ContentType.Pfx);
        settings.Write(Key, Convert.ToBase64String(pfx));
        return X509CertificateLoader.LoadPkcs12(pfx, null);
    }

    private DateTimeOffset Now() => clock.GetCurrentInstant().ToDateTimeOffset();
}
