// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "session/machine_link.hpp"

#include <chalkline/selftest/self_test.hpp>
#include <chalkline/wording/wording.hpp>

#include <QElapsedTimer>
#include <QTimer>
#include <optional>

namespace chalkline::app {

/// Runs a self-test with the beam off on the machine that is connected (core/selftest).
class SelfTestDesk : public QObject {
    Q_OBJECT
 public:
    explicit SelfTestDesk(MachineLink& machine, QObject* parent = nullptr);
    /// Stops what is under way.
    ~SelfTestDesk() override;

    /// Why it cannot begin now; nothing when it can.
    std::optional<wording::Message> obstacle() const;
    void begin();
    void stop();
    bool running() const { return test_ && !test_->over(); }
    /// Null before the first one.
    const machine::SelfTest* test() const { return test_ ? &*test_ : nullptr; }

 Q_SIGNALS:
    void changed();

 private:
    void go_on();
    void take(const machine::Event& happened);
    MachineLink& machine_;
    std::optional<machine::SelfTest> test_;
    QTimer timer_;
    QElapsedTimer clock_;
};

}  // namespace chalkline::app
