// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <chalkline/conversation/session.hpp>

#include <QString>
#include <optional>

namespace chalkline::history {

/// Where machines were left by the last command that spoke to them, by their addresses, in one small file. It is a word
/// for the next conversation, which believes it only where the board says the same (machine/session.hpp); docs/formats/
/// history.md. Nothing is an error: what cannot be read was never known.
class Places {
 public:
    explicit Places(QString file) : file_(std::move(file)) {}
    static QString usual_place();

    /// Nothing when it is older than a quarter of an hour: somebody may have been at the machine.
    std::optional<machine::RememberedPlace> find(const QString& address) const;
    /// Nothing: where it stands is not known any more.
    void keep(const QString& address, const std::optional<machine::RememberedPlace>& place) const;

    static constexpr int good_for = 15 * 60;  ///< s

 private:
    QString file_;
};

}  // namespace chalkline::history
