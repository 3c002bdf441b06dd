// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <chalkline/base/result.hpp>
#include <chalkline/conversation/store.hpp>

#include <QDateTime>
#include <QString>
#include <optional>
#include <string>
#include <vector>

namespace chalkline::history {

/// A program that was written into a controller's own store.
struct StoredProgram {
    machine::StoredFile file;  ///< as the controller listed it afterwards
    QString title;
    QDateTime sent;
    std::string program;  ///< its lines in the reference dialect, as they were sent
};

/// Copies of what was written into the stores of controllers, by their addresses: what a controller will burn by itself
/// can be checked and looked at before it is started. Window and command line share them; docs/formats/history.md. Any
/// thread, one at a time.
class StoredPrograms {
 public:
    explicit StoredPrograms(QString folder) : folder_(std::move(folder)) {}
    static QString usual_place();

    Result<void> keep(const QString& address, const StoredProgram& stored) const;
    /// The copy of a file as the controller lists it now. Nothing: another one was sent under this name, or none, or
    /// the copy was damaged.
    std::optional<StoredProgram> find(const QString& address, const machine::StoredFile& file) const;
    void forget(const QString& address, const std::string& name) const;

 private:
    QString path_of(const QString& address, const std::string& name) const;
    QString folder_;
};

}  // namespace chalkline::history
