using System.Globalization;
using Wrapper.Formats.Letters;
using Wrapper.Store;

namespace Wrapper.Server.Devices;

/// <summary>Somewhere that letters are brought to, to go out.</summary>
internal interface IMailRoom
{
    /// <summary>Takes letters, all or none.</summary>
    void Take(IReadOnlyList<Letter> letters);
}

/// <summary>The stand-in for a mail room: letters lie in its tray, each a file that a mail program opens; it sends nothing.</summary>
internal sealed class MailRoom(LetterStore store, TimeProvider clock) : IMailRoom
{
    /// <inheritdoc/>
    public void Take(IReadOnlyList<Letter> letters)
    {
        var at = clock.GetLocalNow();
        store.Put([
            .. letters.Select(letter =>
            {
                var id = $"m{Guid.NewGuid():N}";
                return (
                    new KeptLetter(
                        id,
                        at.ToString("O", CultureInfo.InvariantCulture),
                        letter.To,
                        letter.Subject,
                        [.. letter.Enclosures.Select(enclosed => enclosed.Name)]
                    ),
                    letter.Eml(id, at)
                );
            }),
        ]);
    }
}
