using System.Buffers;
using Microsoft.Extensions.ObjectPool;

namespace SetFirm.Web.Plans;

/// <summary>An answer that is written and not sent yet, in a buffer that the next answer is written into.</summary>
/// <remarks>A report is larger than what the runtime keeps with small things: made anew with every key, each would have all of memory looked through.</remarks>
internal sealed class Written : IResult
{
    /// <summary>A buffer that grew past this is let go: bytes.</summary>
    private const int MostKept = 4_000_000;

    private static readonly ObjectPool<ArrayBufferWriter<byte>> Buffers = new DefaultObjectPool<ArrayBufferWriter<byte>>(new Emptied());

    private readonly ArrayBufferWriter<byte> buffer;

    private Written(ArrayBufferWriter<byte> buffer) => this.buffer = buffer;

    /// <param name="write">Writes JSON in UTF-8; what it throws goes through.</param>
    public static Written By(Action<IBufferWriter<byte>> write)
    {
        var buffer = Buffers.Get();
        try
        {
            write(buffer);
            return new Written(buffer);
        }
        catch
        {
            Buffers.Return(buffer);
            throw;
        }
    }

    /// <summary>Sends it whole, once.</summary>
    public async Task ExecuteAsync(HttpContext httpContext)
    {
        ArgumentNullException.ThrowIfNull(httpContext);
        try
        {
            httpContext.Response.ContentType = "application/json; charset=utf-8";
            httpContext.Response.ContentLength = buffer.WrittenCount;
            await httpContext.Response.BodyWriter.WriteAsync(buffer.WrittenMemory, httpContext.RequestAborted);
        }
        finally
        {
            Buffers.Return(buffer);
        }
    }

    private sealed class Emptied : PooledObjectPolicy<ArrayBufferWriter<byte>>
    {
        public override ArrayBufferWriter<byte> Create() => new();

        public override bool Return(ArrayBufferWriter<byte> obj)
        {
            obj.ResetWrittenCount();
            return obj.Capacity <= MostKept;
        }
    }
}
